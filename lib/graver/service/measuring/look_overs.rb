# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # What was logged, as it stands with its corrections.
      class LookOvers
        def initialize(context)
          @store = context.store
        end

        # -> [Storage::LookOver, Storage::Vehicle]. Raises NotFound.
        def find(id)
          look_over = @store.look_overs.find(id)
          [look_over, @store.vehicles.find(look_over.vehicle_id)]
        end
      end
    end
  end
end
