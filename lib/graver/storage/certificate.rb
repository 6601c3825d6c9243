# frozen_string_literal: true

require "fileutils"
require "ipaddr"
require "openssl"

module Graver
  module Storage
    # A certificate of Graver's own for the way to a phone, kept beside the household's file. Nobody vouches for it: a
    # browser warns once, and its fingerprint is what to compare.
    class Certificate
      Made = Core::Value.define(:path, :key_path, :fingerprint)
      YEARS = 2
      RENEW_SECONDS = 30 * 24 * 3600

      # now: Time
      def initialize(database_path, now)
        @now = now
        @folder = File.join(File.dirname(File.expand_path(database_path)), "certificate")
      end

      # The one on file where it is for this address and holds a while, else a new one -> Made
      def for(address)
        path, key_path = %w[certificate.pem key.pem].map { |name| File.join(@folder, name) }
        make(address, path, key_path) unless fits?(path, address)
        Made.new(path:, key_path:, fingerprint: fingerprint(path))
      end

      private

      def fits?(path, address)
        found = OpenSSL::X509::Certificate.new(File.read(path))
        found.subject.to_a.dig(0, 1) == address && found.not_after > @now + RENEW_SECONDS
      rescue Errno::ENOENT, OpenSSL::X509::CertificateError
        false
      end

      def make(address, path, key_path)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        key = OpenSSL::PKey::EC.generate("prime256v1")
        File.write(key_path, key.to_pem, perm: 0o600)
        File.write(path, signed(address, key).to_pem)
      end

      def signed(address, key)
        name = OpenSSL::X509::Name.new([["CN", address]])
        certificate = OpenSSL::X509::Certificate.new
        certificate.version = 2
        certificate.serial = OpenSSL::BN.rand(96)
        certificate.subject = certificate.issuer = name
        certificate.public_key = key
        certificate.not_before = @now - 3600
        certificate.not_after = @now + (YEARS * 365 * 24 * 3600)
        extensions = OpenSSL::X509::ExtensionFactory.new(certificate, certificate)
        certificate.add_extension(extensions.create_extension("subjectAltName", "IP:#{address}"))
        certificate.sign(key, OpenSSL::Digest.new("SHA256"))
      end

      def fingerprint(path)
        der = OpenSSL::X509::Certificate.new(File.read(path)).to_der
        OpenSSL::Digest::SHA256.hexdigest(der).upcase.scan(/../).join(":")
      end
    end
  end
end
