# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The vehicles' snapshots, kept between requests while their records stay as they are. Those missing are read in
      # the same few queries for one vehicle or the whole household.
      class Snapshots
        # at: Storage::Revisions its records were read at
        Kept =
          Core::Value.define(:snapshot, :at) do
            # Whether it holds at these revisions, on that day.
            def as_of?(now, day)
              id = snapshot.vehicle.id
              snapshot.on?(day) &&
                (at.household == now.household || (at.shared == now.shared && at.vehicles[id] == now.vehicles[id]))
            end
          end

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> Snapshot. Raises NotFound.
        def find(vehicle_id)
          kept(vehicle_id) || of([@store.vehicles.find(vehicle_id)]).fetch(vehicle_id)
        end

        # [Storage::Vehicle] -> { vehicle id => Snapshot }
        def of(vehicles)
          return unsaved(vehicles) unless @store.records_settled?

          known = vehicles.to_h { |vehicle| [vehicle.id, kept(vehicle.id)] }.compact
          missing = vehicles.reject { |vehicle| known.key?(vehicle.id) }
          missing.empty? ? known : known.merge(keep(missing))
        end

        # -> Storage::Vehicle with that axle, without reading more of it. Raises NotFound.
        def vehicle_with(axle_id)
          known(axle_id)&.vehicle || @store.vehicles.find(@store.vehicles.find_axle(axle_id).vehicle_id)
        end

        # -> id of the vehicle with that axle. Raises NotFound.
        def vehicle_of(axle_id) = known(axle_id)&.vehicle&.id || @store.vehicles.find_axle(axle_id).vehicle_id

        private

        def known(axle_id)
          kept = @context.snapshots.find { |each| each.snapshot.axle?(axle_id) }
          kept && kept(kept.snapshot.vehicle.id)
        end

        # Valid now: noted, as either number may rise by itself later.
        def kept(vehicle_id)
          return unless @store.records_settled?

          found = @context.snapshots[key(vehicle_id)]
          return unless found&.as_of?(now = @store.revisions, @context.today)

          @context.snapshots[key(vehicle_id)] = found.with(at: now) unless found.at == now
          found.snapshot
        end

        def keep(vehicles)
          at = @store.revisions
          SnapshotReader
            .new(@context)
            .call(vehicles)
            .each { |id, snapshot| @context.snapshots[key(id)] = Kept.new(snapshot:, at:) }
        end

        # What a transaction has not saved yet is for its own request alone.
        def unsaved(vehicles)
          @context.once([:unsaved, vehicles.map(&:id)]) { SnapshotReader.new(@context).call(vehicles) }
        end

        # Errors of readings on file are said in an English.
        def key(vehicle_id) = [vehicle_id, @context.english]
      end
    end
  end
end
