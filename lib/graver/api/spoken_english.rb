# frozen_string_literal: true

module Graver
  module API
    # Answers each request in the English the household chose, else in the one its browser asks for.
    class SpokenEnglish
      def initialize(app, context:)
        @app = app
        @context = context
      end

      def call(env) = English.in(self.class.of(@context, env)) { @app.call(env) }

      # -> of English::ALL. Whatever keeps the choice from being known keeps no answer from going out.
      def self.of(context, env)
        Service::Household::Chosen.english(context) || English.of_browser(env["HTTP_ACCEPT_LANGUAGE"])
      rescue StandardError
        English::DEFAULT
      end
    end
  end
end
