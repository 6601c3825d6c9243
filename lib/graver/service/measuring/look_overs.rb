# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # What was logged, as it stands with its corrections.
      class LookOvers
        # photos: [Storage::Photo]
        Logged = Core::Value.define(:look_over, :vehicle, :photos)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> Logged. Raises NotFound.
        def find(id)
          look_over = @store.look_overs.find(id)
          Logged.new(
            look_over:,
            vehicle: @store.vehicles.find(look_over.vehicle_id),
            photos: Photos.new(@context).of_look_over(look_over)
          )
        end
      end
    end
  end
end
