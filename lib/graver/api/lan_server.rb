# frozen_string_literal: true

require "puma"
require "puma/server"
require "socket"

module Graver
  module API
    # Lets phones into a running server: a second server at this machine's network address, opened and closed at any
    # time. It never serves loopback.
    class LanServer
      THREADS = { min_threads: 0, max_threads: 4 }.freeze

      # port: as on this machine; certificate: callable (address) -> object with path, key_path and fingerprint; the
      # block gives the application that answers there, from a Network
      def initialize(port:, certificate:, &application)
        @port = port
        @certificate = certificate
        @application = application
        @network = Network::NONE
        @turn = Mutex.new
      end

      # The network it is open on, or Network::NONE
      attr_reader :network

      # address: of this machine, or nil: chosen by itself -> Network. An open server is closed first. Raises
      # InvalidEntry if it cannot listen there.
      def open(address: nil, https: false)
        found = address || self.class.own_address
        raise InvalidEntry.of("wanted", "missing", Say::Texts.t("access.no_network")) unless found

        @turn.synchronize { listen(found, https) }
      rescue SystemCallError, SocketError => e
        raise InvalidEntry.of("wanted", "refused", Say::Texts.t("access.no_way", address: found, because: e.message))
      end

      def close = @turn.synchronize { shut }

      # This machine's own network address, or nil.
      def self.own_address
        Socket.ip_address_list.find { |each| each.ipv4_private? && !each.ipv4_loopback? }&.ip_address
      end

      private

      def listen(address, https)
        shut
        made = https ? @certificate.call(address) : nil
        network = Network.new(address:, port: @port, https:, fingerprint: made&.fingerprint)
        server = server(@application.call(network))
        made ? server.add_ssl_listener(address, @port, keys(made)) : server.add_tcp_listener(address, @port)
        server.run
        @server = server
        @network = network
      end

      def server(application)
        Puma::Server.new(application, nil, { **THREADS, environment: "production", log_writer: Puma::LogWriter.null })
      end

      def keys(made)
        Puma::MiniSSL::Context.new.tap do |context|
          context.cert = made.path
          context.key = made.key_path
          context.verify_mode = Puma::MiniSSL::VERIFY_NONE
        end
      end

      def shut
        @server&.stop(true)
        @server = nil
        @network = Network::NONE
      end
    end
  end
end
