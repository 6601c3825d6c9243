# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A vehicle renamed, given another drive or distance unit, noted about, archived or restored.
      class ChangeVehicle
        NOTES = Storage::Vehicles::NOTES

        # Storage::Vehicle -> what is noted of it as one line, or nil
        def self.line(vehicle)
          named = vehicle.to_h.values_at(:year, :make, :model).compact.join(" ")
          [named, vehicle.plate, vehicle.vin].reject { |each| each.to_s.empty? }.join(", ")[/.+/]
        end

        def initialize(context)
          @context = context
        end

        # given: any of { name:, drive:, distance_unit:, archived: } and NOTES, where an empty one is none. Raises
        # NotFound.
        def call(id, given)
          @context.store.vehicles.find(id)
          changes = { **given.slice(:name, :drive, :distance_unit), **notes(given) }
          changes[:archived_at] = given[:archived] ? @context.now : nil if given.key?(:archived)
          @context.store.transaction { @context.store.vehicles.change(id, changes) }
        end

        private

        def notes(given) = given.slice(*NOTES).transform_values { |note| note.to_s.split.join(" ")[/.+/] }
      end
    end
  end
end
