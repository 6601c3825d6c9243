# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Notes that the brake fluid was renewed, with day and odometer like any service.
      class RecordFluidRenewal
        def initialize(context)
          @context = context
        end

        # given: { date:, odometer: { value:, unit: } }. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          ServiceNote.new(@context).call(vehicle_id, given, readings: [{ event: "renewed", part: "fluid" }])
        end
      end
    end
  end
end
