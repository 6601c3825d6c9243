# frozen_string_literal: true

require_relative "contract"
require_relative "vehicles"

module Graver
  module API
    module Contracts
      ODOMETER = Dry::Schema.JSON do
        required(:value).filled(:string, max_size?: 20)
        optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
        optional(:keep).filled(:bool)
        optional(:simulated).filled(:bool)
      end

      # A dated service without readings.
      class Service < Contract
        json do
          required(:date).filled(:string, max_size?: 20)
          required(:odometer).hash(ODOMETER)
        end
      end

      READING_METHODS = %w[micrometer caliper vernier rule gauge visual percent dial].freeze
      READING_UNITS = %w[mm in thou 32nd 100th percent share].freeze

      # A question that was answered on the way, as the preview put it.
      DOUBT = Dry::Schema.JSON do
        required(:code).filled(:string, max_size?: 40)
        required(:question).filled(:string, max_size?: 400)
        optional(:value).maybe(:string, max_size?: 40)
        optional(:unit).maybe(:string, max_size?: 10)
        required(:answer).filled(:string, included_in?: %w[again other_unit with_plate swap keep earlier_wrong fitted])
      end

      READING = Dry::Schema.JSON do
        required(:axle).filled(:integer)
        required(:part).filled(:string, included_in?: %w[pad rotor runout shoe])
        optional(:side).maybe(:string, included_in?: %w[left right])
        optional(:pad).maybe(:string, included_in?: %w[inner outer])
        required(:event).filled(:string, included_in?: %w[reading fit squealer sensor metal resurfaced freed])
        optional(:method).maybe(:string, included_in?: READING_METHODS)
        optional(:values).value(:array, max_size?: 12).each(:string, max_size?: 40)
        optional(:upper).maybe(:string, max_size?: 40)
        optional(:unit).maybe(:string, included_in?: READING_UNITS)
        optional(:overall).filled(:bool)
        optional(:instrument).maybe(:integer)
        optional(:answer).maybe(:string, included_in?: %w[keep earlier_wrong])
        optional(:doubts).value(:array, max_size?: 12).each { hash(DOUBT) }
        optional(:simulated).filled(:bool)
      end

      CONDITION = Dry::Schema.JSON do
        required(:item).filled(:string, max_size?: 40)
        optional(:axle).maybe(:integer)
        optional(:side).maybe(:string, included_in?: %w[left right])
        optional(:face).maybe(:string, included_in?: %w[inner outer])
        optional(:mark).maybe(:string, max_size?: 40)
        optional(:value).maybe(:string, max_size?: 20)
        optional(:simulated).filled(:bool)
      end

      # A look-over with its readings. Empty odometer and date are let through: the entry itself says what they lack.
      class LookOver < Contract
        MOST_READINGS = 80
        MOST_CONDITIONS = 200

        json do
          required(:date).value(:string, max_size?: 20)
          required(:odometer).hash do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
            optional(:keep).filled(:bool)
            optional(:simulated).filled(:bool)
          end
          # of the draft that is saved: another window may have gone on with it
          optional(:draft_revision).filled(:integer, gteq?: 0)
          optional(:note).maybe(:string, max_size?: LONGEST_TEXT)
          required(:readings).value(:array, max_size?: MOST_READINGS).each { hash(READING) }
          optional(:conditions).value(:array, max_size?: MOST_CONDITIONS).each { hash(CONDITION) }
        end

        rule(:readings).each do
          next unless value.is_a?(Hash) && (value[:event] == "reading" || value[:values].to_a.any?)

          key([*path.to_a, :method]).failure("say how it was read") unless value[:method]
          key([*path.to_a, :unit]).failure("needs a unit") unless value[:unit]
        end
      end

      # The owner's way round a vehicle.
      class WalkOrder < Contract
        json do
          optional(:start).filled(:string, max_size?: 20)
          optional(:direction).filled(:string, max_size?: 20)
          optional(:within).value(:array, min_size?: 1, max_size?: 10).each(:string, max_size?: 20)
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
