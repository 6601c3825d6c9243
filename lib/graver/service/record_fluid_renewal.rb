# frozen_string_literal: true

require "date"
require_relative "axle_files"
require_relative "look_over_entry"

module Graver
  module Service
    # Notes that the brake fluid was renewed, with day and odometer like any service.
    class RecordFluidRenewal
      def initialize(context)
        @context = context
      end

      # given: { date:, odometer: { value:, unit: } }. Raises InvalidEntry, NotFound.
      def call(vehicle_id, given)
        vehicle = @context.store.vehicles.find(vehicle_id)
        file = AxleFiles.new(@context).of([vehicle]).fetch(vehicle.id).first
        entry = LookOverEntry.new(@context, file, given.merge(readings: []))
        raise InvalidEntry, entry.service_faults if entry.service_faults.any?

        @context.store.transaction do
          @context.store.look_overs.add(vehicle_id:, date: entry.date, odometer: entry.odometer, note: nil, at: @context.now,
                                        readings: [{ event: "renewed", part: "fluid" }])
        end
      end
    end
  end
end
