# frozen_string_literal: true

module Graver
  module API
    # Guards the API: this machine needs no session. From the network, only sign-in is open to everyone; the rest needs
    # a signed-in device.
    class AuthMiddleware
      COOKIE = "graver_session"
      NETWORK = "graver.network"
      PHONES = "graver.phones"
      ATTEMPTS = "graver.attempts"
      OPEN = "/session"

      # network: Network the request comes from; phones: LanServer, or nil
      def initialize(app, context:, network:, phones:)
        @app = app
        @context = context
        @network = network
        @phones = phones
        @attempts = LoginThrottle.new(context.method(:clock))
      end

      def call(env)
        env[NETWORK] = @phones&.network || @network
        env[PHONES] = @phones
        env[ATTEMPTS] = @attempts
        env["graver.barred"] = true unless allowed?(env)
        @app.call(env)
      end

      private

      def allowed?(env)
        return true if Network.loopback?(env["REMOTE_ADDR"]) || env["PATH_INFO"] == OPEN

        token = Rack::Request.new(env).cookies[COOKIE]
        !Service::Household::PhoneAccess.new(@context.for_request).session(token).nil?
      end
    end
  end
end
