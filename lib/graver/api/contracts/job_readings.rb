# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Readings taken at a step.
      class JobReadings < Contract
        MOST = 20
        MOST_MARKS = 80

        json do
          required(:step).filled(:string, max_size?: 80)
          optional(:odometer).maybe(:hash) do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
            optional(:keep).filled(:bool)
          end
          optional(:readings).value(:array, max_size?: MOST).each { hash(READING) }
          optional(:conditions).value(:array, max_size?: MOST_MARKS).each { hash(CONDITION) }
          optional(:unmarked)
            .value(:array, max_size?: MOST)
            .each do
              hash do
                required(:axle).filled(:integer)
                required(:side).filled(:string, included_in?: %w[left right])
                optional(:face).maybe(:string, included_in?: PADS)
                required(:item).filled(:string, max_size?: 40)
              end
            end
          optional(:data)
            .value(:array, max_size?: MOST)
            .each do
              hash do
                required(:axle).filled(:integer)
                required(:key).filled(:string, max_size?: 40)
                required(:value).value(:string, max_size?: 40)
                optional(:unit).maybe(:string, max_size?: 10)
              end
            end
          optional(:fitted)
            .value(:array, max_size?: MOST)
            .each do
              hash do
                required(:axle).filled(:integer)
                required(:part).filled(:string, included_in?: %w[pad rotor drum])
                optional(:method).maybe(:string, included_in?: FITTED_METHODS)
                required(:value).value(:string, max_size?: 40)
                optional(:unit).maybe(:string, max_size?: 10)
              end
            end
        end
      end
    end
  end
end
