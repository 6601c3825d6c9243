# frozen_string_literal: true

require_relative "../contracts/vehicles"

module Graver
  module API
    module Serializers
      # Choices, methods and limits the screens offer.
      class Catalogue
        UNITS = %w[mm in 32nd thou].freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        def call(today)
          { today: today.iso8601, kinds: Contracts::KINDS.map { |id, label| { id:, label: } }, methods:, limits: @knowledge.pad_limits, states: }
        end

        private

        def methods
          measurement = @knowledge.measurement
          read = measurement.fetch("methods").map do |id, method|
            { id:, label: method["label"], parts: %w[pad rotor].select { |part| method.key?(part) }, units: UNITS }
          end
          read << { id: "percent", label: measurement.dig("percent", "label"), parts: ["pad"], units: ["percent"] }
        end

        def states = @knowledge.state.fetch("words").map { |word, text| { word:, **text.transform_keys(&:to_sym) } }
      end
    end
  end
end
