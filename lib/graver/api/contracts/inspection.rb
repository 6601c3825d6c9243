# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # An inspection with its readings. An empty odometer and date pass: the use case says what is missing.
      class Inspection < Contract
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
          # of the draft that is saved: another window may have changed it since
          optional(:draft_revision).filled(:integer, gteq?: 0)
          optional(:note).maybe(:string, max_size?: LONGEST_TEXT)
          required(:readings).value(:array, max_size?: MOST_READINGS).each { hash(READING) }
          optional(:conditions).value(:array, max_size?: MOST_CONDITIONS).each { hash(CONDITION) }
        end

        rule(:readings).each do
          next unless value.is_a?(Hash) && (value[:event] == "reading" || value[:values].to_a.any?)

          key([*path.to_a, :method]).failure(Say::Texts.t("shape.method")) unless value[:method]
          key([*path.to_a, :unit]).failure(Say::Texts.t("shape.unit")) unless value[:unit]
        end
      end
    end
  end
end
