# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A dated service without readings.
      class DateAndOdometer < Contract
        json do
          required(:date).filled(:string, max_size?: 20)
          required(:odometer).hash(ODOMETER)
        end
      end
    end
  end
end
