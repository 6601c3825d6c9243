# frozen_string_literal: true

require "socket"

module Graver
  module CLI
    # What bin/serve has to know of phone access before it starts, as lines for the shell: nothing where this machine
    # alone is listened to. Arguments: "asked" or "as-kept", "https" or "plain", an address or nothing.
    class NetworkCommand
      def initialize(out: $stdout, err: $stderr, settings: ENV)
        @out = out
        @err = err
        @settings = settings
      end

      # -> 0, or 1 with why phones are not let in
      def call(arguments)
        asked, way, given = arguments
        @context = Boot.context(@settings).for_request
        access = Service::Household::PhoneAccess.new(@context)
        return 0 unless asked == "asked" || access.wanted?
        return refuse("access.no_passphrase") unless access.passphrase?

        address = given || self.class.own_address or return refuse("access.no_network")
        @out.puts "GRAVER_LAN=#{address}"
        certificate(address) if way == "https"
        0
      rescue Error => e
        @err.puts e.message
        1
      end

      # Of this machine in its own network, or nil.
      def self.own_address
        Socket.ip_address_list.find { |each| each.ipv4_private? && !each.ipv4_loopback? }&.ip_address
      end

      private

      def refuse(text)
        @err.puts Texts.say(text)
        1
      end

      def certificate(address)
        made = Boot.certificate(address, @context.time, @settings)
        @out.puts "GRAVER_HTTPS=yes", "GRAVER_CERTIFICATE=#{made.path}", "GRAVER_CERTIFICATE_KEY=#{made.key_path}"
        @err.puts Texts.say("access.certificate", fingerprint: made.fingerprint)
      end
    end
  end
end
