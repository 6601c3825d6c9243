# frozen_string_literal: true

require "socket"
require "puma/reactor"
require_relative "../../config/whole_answers"

# A request that comes in two packets is handed from thread to thread. The server is made slow between handing it on and
# its own last act, and the answer slow between its head and its body: the answer must still be whole.
RSpec.describe WholeAnswers do
  let(:slow_body) do
    Class.new do
      def each
        sleep 0.1
        yield "whole"
      end
    end
  end
  let(:server) { Puma::Server.new(->(_) { [200, {}, slow_body.new] }, nil, max_threads: 3) }
  let(:port) { server.add_tcp_listener("127.0.0.1", 0).addr[1] }

  before do
    port
    server.run
    reactor = server.instance_variable_get(:@reactor)
    handing_on = reactor.method(:add)
    allow(reactor).to receive(:add) { |client| handing_on.call(client).tap { sleep 0.05 } }
  end

  after { server.stop(true) }

  def answer_to(*packets)
    socket = TCPSocket.new("127.0.0.1", port)
    packets.each do |packet|
      socket.write(packet)
      sleep 0.02
    end
    socket.read
  ensure
    socket&.close
  end

  it "keeps the head of an answer whose request came in two packets" do
    answer = answer_to("POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\nContent-Length: 4\r\n\r\n", "body")
    expect(answer).to start_with("HTTP/1.1 200 OK\r\n").and include("whole")
  end
end
