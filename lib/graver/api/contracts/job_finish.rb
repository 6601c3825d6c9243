# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Finishes a job: day, odometer, and thickness of the new parts.
      class JobFinish < Contract
        MOST_FITS = 12
        MOST_OPEN = 10
        json do
          optional(:date).maybe(:string, max_size?: 20)
          # An empty odometer passes: the use case reports it with all other faults.
          required(:odometer).hash do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
            optional(:keep).filled(:bool)
          end
          optional(:fitted)
            .value(:array, max_size?: MOST_FITS)
            .each do
              hash do
                required(:axle).filled(:integer)
                required(:part).filled(:string, included_in?: %w[pad rotor drum])
                optional(:method).maybe(:string, included_in?: FITTED_METHODS)
                required(:value).maybe(:string, max_size?: 40)
                optional(:unit).maybe(:string, included_in?: READING_UNITS - %w[percent share])
              end
            end
          optional(:symptoms)
            .value(:array, max_size?: 20)
            .each do
              hash do
                required(:id).filled(:string, max_size?: 40)
                required(:gone).filled(:bool)
              end
            end
          optional(:follow_ups).value(:array, max_size?: MOST_OPEN).each(:string, max_size?: 1000)
          optional(:hours).maybe(:string, max_size?: 20)
          optional(:do_not_drive).maybe(:bool)
          optional(:spent).maybe(:string, max_size?: 20)
        end
      end
    end
  end
end
