# frozen_string_literal: true

require "fileutils"
require "openssl"
require "stringio"
require "tmpdir"

# What bin/serve asks before it starts.
RSpec.describe Graver::CLI::NetworkCommand do
  let(:folder) { Dir.mktmpdir }
  let(:settings) { { "GRAVER_DATABASE" => "#{folder}/g.sqlite3" } }

  after { FileUtils.remove_entry(folder) }

  def access = Graver::Service::Household::PhoneAccess.new(Graver::Boot.context(settings).for_request)
  def said(*arguments)
    out, err = StringIO.new, StringIO.new
    code = described_class.new(out:, err:, settings:).call(arguments)
    [code, out.string.lines(chomp: true), err.string]
  end

  it "opens nothing unasked, and nothing without a passphrase" do
    expect(said("as-kept", "plain")).to eq([0, [], ""])
    expect(said("asked", "plain", "192.168.7.20")).to match([1, [], /only with a passphrase/])
    access.passphrase = "four wet brown otters"
    expect(said("as-kept", "plain")).to eq([0, [], ""])
    expect(said("asked", "plain", "192.168.7.20")).to eq([0, ["GRAVER_LAN=192.168.7.20"], ""])
    access.wanted = true
    expect(said("as-kept", "plain", "192.168.7.20")[1]).to eq(["GRAVER_LAN=192.168.7.20"])
  end

  it "makes a certificate for the address, readable by its owner alone, and keeps it while it fits" do
    access.passphrase = "four wet brown otters"
    _, lines, told = said("asked", "https", "192.168.7.20")
    set = lines.to_h { |line| line.split("=", 2) }
    found = OpenSSL::X509::Certificate.new(File.read(set["GRAVER_CERTIFICATE"]))
    key = OpenSSL::PKey.read(File.read(set["GRAVER_CERTIFICATE_KEY"]))
    expect(found.check_private_key(key)).to be(true)
    expect(found.extensions.find { |each| each.oid == "subjectAltName" }.value).to eq("IP Address:192.168.7.20")
    expect(File.stat(set["GRAVER_CERTIFICATE_KEY"]).mode & 0o077).to eq(0)
    expect(told).to include(OpenSSL::Digest::SHA256.hexdigest(found.to_der).upcase.scan(/../).first(4).join(":"))
    said("asked", "https", "192.168.7.20")
    expect(File.read(set["GRAVER_CERTIFICATE"])).to eq(found.to_pem)
    said("asked", "https", "192.168.7.21")
    expect(File.read(set["GRAVER_CERTIFICATE"])).not_to eq(found.to_pem)
  end
end
