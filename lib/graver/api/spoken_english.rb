# frozen_string_literal: true

module Graver
  module API
    # Answers each request in the English the household chose, else in the one its browser asks for, and in its units.
    class SpokenEnglish
      def initialize(app, context:)
        @app = app
        @context = context
      end

      def call(env)
        said = self.class.chosen(@context)
        english = said&.english || English.of_browser(env["HTTP_ACCEPT_LANGUAGE"])
        Say::Spoken.in(english, said&.lengths) { @app.call(env) }
      end

      # -> one of English::ALL
      def self.of(context, env) = chosen(context)&.english || English.of_browser(env["HTTP_ACCEPT_LANGUAGE"])

      # -> Service::Household::Chosen::Said, or nil: an error while reading the choice never stops the answer.
      def self.chosen(context)
        Service::Household::Chosen.said(context)
      rescue StandardError
        nil
      end
    end
  end
end
