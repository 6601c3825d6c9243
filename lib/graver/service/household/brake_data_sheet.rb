# frozen_string_literal: true

module Graver
  module Service
    module Household
      # An axle's brake data: current values, earlier ones, and those searched for in vain.
      class BrakeDataSheet
        # record: AxleRecord; history: { key => [Storage::BrakeDatum], oldest first }; looked_for: [key];
        # others: [[Storage::Vehicle, Storage::Axle]] whose data could be copied
        Sheet = Core::Value.define(:record, :history, :looked_for, :others)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # Raises NotFound.
        def call(axle_id)
          record = Household::AxleRecords.new(@context).find(axle_id)
          Sheet.new(
            record:,
            history: @store.brake_data.history(axle_id),
            looked_for: looked_for(record),
            others: others(axle_id)
          )
        end

        private

        # Values of the whole vehicle are kept with its first axle.
        def looked_for(record)
          axles = record.vehicle.axles.map(&:id)
          @store.brake_data.unknown_of(axles).values_at(record.axle.id, axles.first).compact.flatten
        end

        def others(axle_id)
          pairs = @store.vehicles.all.flat_map { |vehicle| vehicle.axles.map { |axle| [vehicle, axle] } }
          pairs.reject { |_, axle| axle.id == axle_id }
        end
      end
    end
  end
end
