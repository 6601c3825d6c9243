# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # How the household plans.
      class ScheduleChange < Contract
        json { %i[lead_days combine_km combine_days trouble].each { |choice| optional(choice).filled(:integer) } }
      end
    end
  end
end
