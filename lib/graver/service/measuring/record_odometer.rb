# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # The odometer on a day, without any look at the brakes: a fill-up, a trip's end. It says how much is driven.
      class RecordOdometer
        def initialize(context)
          @context = context
        end

        # given: { date:, odometer: { value:, unit:, keep: } }. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          ServiceNote.new(@context).call(vehicle_id, given, asking: true)
        end
      end
    end
  end
end
