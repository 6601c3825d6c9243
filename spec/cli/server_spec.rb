# frozen_string_literal: true

require "fileutils"
require "net/http"
require "socket"
require "timeout"
require "tmpdir"

# A server as owners start it, in a process of its own.
RSpec.describe "bin/run" do
  let(:home) { Dir.mktmpdir }
  let(:port) { TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] } }
  let(:log) { File.join(home, "log") }

  after do
    started.each do |server|
      Process.kill(:KILL, server)
    rescue Errno::ESRCH
      # it has ended
    end
    FileUtils.rm_rf(home)
  end

  def started = @started ||= []

  def run(**more)
    set = { "GRAVER_DATABASE" => "#{home}/data.sqlite3", "GRAVER_PORT" => port.to_s, **more.transform_keys(&:to_s) }
    started.push(Process.spawn(set, File.join(Graver::Boot::ROOT, "bin/run"), out: log, err: log)).last
  end

  def ended(server, within:) = Timeout.timeout(within) { Process.wait2(server)[1] }

  def answers?
    Net::HTTP.get_response("127.0.0.1", "/api/v1/health", port).code == "200"
  rescue SystemCallError
    false
  end

  def wait_for_answer = Timeout.timeout(60) { sleep 0.1 until answers? }

  # It looks through the whole file first: neither a refused start nor an early stop may wait for the next look.
  it "ends at once when its start is refused, and when it is stopped right after it" do
    refused = run(GRAVER_LAN: "10.0.0.1")
    expect(ended(refused, within: 60).exitstatus).to eq(1)
    expect(File.read(log)).to include("Set a passphrase")
    server = run
    wait_for_answer
    Process.kill(:TERM, server)
    expect(ended(server, within: 20)).not_to be_nil
    again = run
    wait_for_answer
    Process.kill(:TERM, again)
    ended(again, within: 20)
    expect(File.read(log)).not_to include("Another Graver is running")
  end
end
