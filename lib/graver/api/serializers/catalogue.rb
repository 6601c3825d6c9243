# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Choices, methods and limits the screens offer.
      class Catalogue
        UNITS = %w[mm in 32nd thou 100th].freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        def call(today)
          {
            today: today.iso8601,
            kinds: Contracts::KINDS.map { |id, label| { id:, label: } },
            methods:,
            limits: @knowledge.pad_limits.map { |limit| limit.to_h.except(:kinds) },
            states:
          }
        end

        # Methods, with the parts they serve and their shortcut key.
        def methods
          measurement = @knowledge.measurement
          read =
            measurement
              .fetch("methods")
              .reject { |_, method| method["sold"] }
              .map do |id, method|
                {
                  id:,
                  label: method["label"],
                  key: method["key"],
                  parts: @knowledge.measured_parts.select { |part| method.key?(part) },
                  units: UNITS
                }
              end
          read << {
            id: "percent",
            label: measurement.dig("percent", "label"),
            key: measurement.dig("percent", "key"),
            parts: ["pad"],
            units: %w[percent share]
          }
        end

        private

        def states
          @knowledge.state.fetch("severities").map { |severity, text| { severity:, **text.transform_keys(&:to_sym) } }
        end
      end
    end
  end
end
