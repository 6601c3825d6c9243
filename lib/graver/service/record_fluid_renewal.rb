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
        faults = (entry.refusal&.faults || []).reject { |fault| fault.field == "readings" }
        raise InvalidEntry, faults if faults.any?

        odometer = { value: given[:odometer][:value].to_s.strip, unit: given[:odometer][:unit] || vehicle.distance_unit, km: entry.odometer_km }
        @context.store.transaction do
          @context.store.look_overs.add(vehicle_id:, date: entry.date, odometer:, note: nil, at: @context.now,
                                        readings: [{ event: "renewed", part: "fluid" }])
        end
      end
    end
  end
end
