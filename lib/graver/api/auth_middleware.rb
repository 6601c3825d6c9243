# frozen_string_literal: true

module Graver
  module API
    # Guards the API: this machine needs no session. From the network, only sign-in is open to everyone, and the
    # calendar to those who know its address; the rest needs a signed-in device.
    class AuthMiddleware
      COOKIE = "graver_session"
      NETWORK = "graver.network"
      PHONES = "graver.phones"
      ATTEMPTS = "graver.attempts"
      OPEN = "/session"
      # Its address is the secret.
      FEED = %r{\A/feeds/[\w-]{20,60}/brakes\.ics\z}

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
        return true if Network.loopback?(env["REMOTE_ADDR"]) || open?(env)

        token = Rack::Request.new(env).cookies[COOKIE]
        !Service::Household::PhoneAccess.new(@context.for_request).session(token).nil?
      end

      def open?(env)
        return true if env["PATH_INFO"] == OPEN

        %w[GET HEAD].include?(env["REQUEST_METHOD"]) && FEED.match?(env["PATH_INFO"])
      end
    end
  end
end
