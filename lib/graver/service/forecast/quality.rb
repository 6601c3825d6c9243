# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # How good the forecast of an axle's pads is: what would be best measured next, and how earlier forecasts did.
      class Quality
        # worth: [Core::Wear::MeasurementValue::Worth]; scored: [RecordForecasts::Scored]
        Found = Core::Value.define(:worth, :scored)

        def initialize(context)
          @context = context
          @records = Household::AxleRecords.new(context)
          @kept = RecordForecasts.new(context)
        end

        # -> Found. Raises NotFound.
        def call(axle_id)
          record = @records.find(axle_id)
          Found.new(worth: worth(record), scored: @kept.scored(record))
        end

        # How many of a vehicle's forecasts with a known end held (RecordForecasts.calibration).
        def calibration(vehicle_id)
          RecordForecasts.calibration(@records.of_vehicle(vehicle_id).flat_map { |record| @kept.scored(record) })
        end

        # Tells whether forecasts were stored since for a Storage::Vehicle -> text
        def stored(vehicle)
          @newest ||= @context.store.forecasts_given.newest
          @newest.values_at(*vehicle.axles.map(&:id)).join(",")
        end

        private

        def worth(record)
          pads = Household::AxleAnswer.new(@context).call(record).pads
          pads ? Core::Wear::MeasurementValue.rank(pads, @context.knowledge.pad_methods) : []
        end
      end
    end
  end
end
