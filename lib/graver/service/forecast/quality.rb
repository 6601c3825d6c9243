# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # How good the forecast of an axle's pads is: what would be best measured next, and how earlier forecasts did.
      class Quality
        # worth: [Core::Wear::MeasurementValue::Worth]; scored: [RecordForecasts::Scored]; calibration: over the whole
        # household
        Found = Core::Value.define(:worth, :scored, :calibration)

        def initialize(context)
          @context = context
        end

        # Raises NotFound.
        def call(axle_id)
          records = Household::AxleRecords.new(@context)
          record = records.find(axle_id)
          kept = RecordForecasts.new(@context)
          household = records.all.values.flatten.flat_map { |each| kept.scored(each) }
          Found.new(
            worth: worth(record),
            scored: kept.scored(record),
            calibration: RecordForecasts.calibration(household)
          )
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
