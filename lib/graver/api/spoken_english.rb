# frozen_string_literal: true

module Graver
  module API
    # Answers each request in the English the household chose, else in the one its browser asks for.
    class SpokenEnglish
      def initialize(app, context:)
        @app = app
        @context = context
      end

      def call(env) = Say::Spoken.in(self.class.of(@context, env)) { @app.call(env) }

      # -> one of English::ALL. An error while reading the choice never stops the answer.
      def self.of(context, env)
        Service::Household::Chosen.english(context) || English.of_browser(env["HTTP_ACCEPT_LANGUAGE"])
      rescue StandardError
        English::DEFAULT
      end
    end
  end
end
