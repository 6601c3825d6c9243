# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Which vehicles have changed since something was done for them: their records, what all share, or the day.
      class ChangedVehicles
        # vehicle: Storage::Vehicle; state: what it was seen at
        Seen = Core::Value.define(:vehicle, :state) { def id = vehicle.id }

        def initialize
          @done = {}
        end

        # -> [Seen]
        def of(context)
          at = context.store.revisions
          context
            .store
            .vehicles
            .all
            .map { |vehicle| Seen.new(vehicle:, state: [at.vehicles[vehicle.id], at.shared, context.today]) }
            .reject { |seen| @done[seen.id] == seen.state }
        end

        # What has changed since it was seen is to be done again.
        def done(seen) = @done[seen.id] = seen.state
      end
    end
  end
end
