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
      # Storage::Session of a device of the network
      SESSION = "graver.session"
      OPEN = "/session"
      READING = %w[GET HEAD].freeze
      # What a device does there before it is signed in.
      SIGNING = [*READING, "POST", "DELETE"].freeze
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
        return true if Network.loopback?(env["REMOTE_ADDR"])

        env[SESSION] = session(Rack::Request.new(env).cookies[COOKIE])
        !env[SESSION].nil? || open?(env)
      end

      def session(token) = token && Service::Household::PhoneAccess.new(@context.for_request).session(token)

      def open?(env)
        path, verb = env.values_at("PATH_INFO", "REQUEST_METHOD")
        path == OPEN ? SIGNING.include?(verb) : READING.include?(verb) && FEED.match?(path)
      end
    end
  end
end
