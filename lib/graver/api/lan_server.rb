# frozen_string_literal: true

require "puma"
require "puma/server"
require "socket"

module Graver
  module API
    # The way for phones into a server that runs: a second server of its own at this machine's address in its network,
    # opened and closed at any time. Loopback is not its affair.
    class LanServer
      THREADS = { min_threads: 0, max_threads: 4 }.freeze

      # port: as on this machine; certificate: callable (address) -> what has path, key_path and fingerprint; the block
      # gives the application that answers there, of a Network
      def initialize(port:, certificate:, &application)
        @port = port
        @certificate = certificate
        @application = application
        @network = Network::NONE
        @turn = Mutex.new
      end

      # Where it is open now, or Network::NONE
      attr_reader :network

      # address: of this machine, or nil: its own in its network -> Network. What was open is closed first. Raises
      # InvalidEntry where it cannot listen there.
      def open(address: nil, https: false)
        found = address || self.class.own_address
        raise InvalidEntry.of("wanted", "missing", Texts.t("access.no_network")) unless found

        @turn.synchronize { listen(found, https) }
      rescue SystemCallError, SocketError => e
        raise InvalidEntry.of("wanted", "refused", Texts.t("access.no_way", address: found, because: e.message))
      end

      def close = @turn.synchronize { shut }

      # Of this machine in its own network, or nil.
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
