# frozen_string_literal: true

require "net/http"
require "openssl"
require "tmpdir"
require_relative "../support/api_helper"

# Real connections, at an address of this machine that is not the one it listens at.
RSpec.describe Graver::API::LanServer do
  include ApiHelper

  let(:folder) { Dir.mktmpdir }
  let(:settings) { { "GRAVER_DATABASE" => "#{folder}/g.sqlite3" } }
  let(:port) { TCPServer.open("127.0.0.2", 0) { |server| server.addr[1] } }
  let(:line) do
    certificate = ->(address) { Graver::Boot.certificate(address, Time.now, settings) }
    described_class.new(port:, certificate:) { |network| Graver::Boot.rack(context, network) }
  end

  after do
    line.close
    FileUtils.remove_entry(folder)
  end

  def session(https: false, host: nil)
    connection = Net::HTTP.new("127.0.0.2", port)
    connection.use_ssl = https
    connection.verify_mode = OpenSSL::SSL::VERIFY_NONE
    connection.start { |http| [http.get("/api/v1/session", { "Host" => host }.compact).code, http.peer_cert&.to_der] }
  end

  it "opens and closes, and answers to its own address only" do
    expect { session }.to raise_error(Errno::ECONNREFUSED)
    expect(line.network).not_to be_listening
    expect(line.open(address: "127.0.0.2").root).to eq("http://127.0.0.2:#{port}/")
    expect(session.first).to eq("200")
    expect(session(host: "evil.example").first).to eq("403")
    line.close
    expect { session }.to raise_error(Errno::ECONNREFUSED)
  end

  it "switches to encryption while open" do
    line.open(address: "127.0.0.2")
    network = line.open(address: "127.0.0.2", https: true)
    code, der = session(https: true)
    expect([code, network.root]).to eq(["200", "https://127.0.0.2:#{port}/"])
    expect(network.fingerprint.delete(":")).to eq(OpenSSL::Digest::SHA256.hexdigest(der).upcase)
  end

  it "reports an address it can't listen on and stays closed" do
    TCPServer.open("127.0.0.2", port) do
      expect { line.open(address: "127.0.0.2") }.to raise_error(Graver::InvalidEntry, /can't listen at 127.0.0.2/)
    end
    expect { line.open(address: "no such place") }.to raise_error(Graver::InvalidEntry)
    expect(line.network).not_to be_listening
  end

  describe "chosen in Graver" do
    def app = @app ||= described(Graver::Boot.rack(context, phones: line))
    def choose(**given) = ask(:patch, "/access", given)

    before { allow(described_class).to receive(:own_address).and_return("127.0.0.2") }

    it "opens and closes at once, with a passphrase only" do
      expect(fields(choose(wanted: true))).to eq("wanted" => "missing")
      expect { session }.to raise_error(Errno::ECONNREFUSED)
      choose(passphrase: "four wet brown otters")
      expect(choose(wanted: true)).to include("listening" => true, "https" => false, "wanted" => true)
      expect(session.first).to eq("200")
      expect(choose(https: true)).to include("https" => true, "fingerprint" => /\A(\h\h:){31}\h\h\z/)
      expect(session(https: true).first).to eq("200")
      expect(choose(wanted: false)).to include("listening" => false, "fingerprint" => nil)
      expect { session(https: true) }.to raise_error(Errno::ECONNREFUSED)
    end

    it "saves no failed change, and opens again at the next start" do
      choose(passphrase: "four wet brown otters")
      TCPServer.open("127.0.0.2", port) { expect(fields(choose(wanted: true))).to eq("wanted" => "refused") }
      expect(ask(:get, "/access")).to include("wanted" => false)
      choose(wanted: true)
      line.close
      settings = { "GRAVER_DATABASE" => "unused" }
      expect { Graver::Boot.allow(context, line, settings) }.to output(%r{http://127.0.0.2:#{port}/}).to_stderr
      expect(session.first).to eq("200")
    end

    it "refuses to start on the network without a passphrase" do
      asked = { "GRAVER_LAN" => "yes" }
      expect { Graver::Boot.allow(context, line, asked) }.to raise_error(Graver::InvalidEntry, /Set a passphrase/)
    end
  end
end
