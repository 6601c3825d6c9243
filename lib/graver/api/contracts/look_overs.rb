# frozen_string_literal: true

require_relative "contract"
require_relative "vehicles"

module Graver
  module API
    module Contracts
      ODOMETER = Dry::Schema.JSON do
        required(:value).filled(:string, max_size?: 20)
        optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
      end

      # A dated service without readings.
      class Service < Contract
        json do
          required(:date).filled(:string, max_size?: 20)
          required(:odometer).hash(ODOMETER)
        end
      end

      # A look-over with its readings. Empty odometer and date are let through: the entry itself says what they lack.
      class LookOver < Contract
        MOST_READINGS = 60
        MOST_PLACES = 12

        json do
          required(:date).value(:string, max_size?: 20)
          required(:odometer).hash do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
          end
          optional(:note).maybe(:string, max_size?: LONGEST_TEXT)
          required(:readings).value(:array, max_size?: MOST_READINGS).each do
            hash do
              required(:part).filled(:string, included_in?: %w[pad rotor])
              optional(:side).maybe(:string, included_in?: %w[left right])
              optional(:pad).maybe(:string, included_in?: %w[inner outer])
              required(:event).filled(:string, included_in?: %w[reading fit squealer sensor resurfaced freed])
              optional(:method).maybe(:string, included_in?: %w[micrometer caliper rule gauge visual percent])
              optional(:values).value(:array, max_size?: MOST_PLACES).each(:string, max_size?: 40)
              optional(:upper).maybe(:string, max_size?: 40)
              optional(:unit).maybe(:string, included_in?: %w[mm in thou 32nd percent])
              optional(:overall).filled(:bool)
              optional(:keep).filled(:bool)
            end
          end
        end

        rule(:readings).each do
          next unless value.is_a?(Hash) && (value[:event] == "reading" || value[:values].to_a.any?)

          key([*path.to_a, :method]).failure("say how it was read") unless value[:method]
          key([*path.to_a, :unit]).failure("needs a unit") unless value[:unit]
        end
      end

      # A half-entered look-over, kept as the screen wrote it.
      class DraftChange < Contract
        json do
          required(:content).value(:hash)
          required(:revision).filled(:integer, gteq?: 0)
        end
      end
    end
  end
end
