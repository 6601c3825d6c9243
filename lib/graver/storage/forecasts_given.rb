# frozen_string_literal: true

require "date"
require "json"

module Graver
  module Storage
    # Every forecast that was given, to compare with what happened later. Rows are never changed.
    class ForecastsGiven
      def initialize(database)
        @table = database[:forecasts_given]
      end

      # quantiles: { 0.1 => km, ... }. One per axle and inspection: the first one given stands.
      def keep(axle_id:, inspection_id:, given_on:, quantiles:, at:, **fields)
        row = {
          axle_id:,
          inspection_id:,
          given_on: given_on.iso8601,
          quantiles: JSON.generate(quantiles.transform_keys(&:to_s)),
          recorded_at: at
        }
        @table.insert_conflict.insert(**row, **fields.slice(:as_of_km, :limit_mm, :look_again_km, :afterwards))
      end

      # { axle id => [ForecastGiven] } in the order of days
      def of_axles(axle_ids)
        @table.where(axle_id: axle_ids).order(:given_on, :id).map { |row| record(row) }.group_by(&:axle_id)
      end

      # -> { axle id => id of its newest }
      def newest
        newest = Sequel.function(:max, :id).as(:newest)
        @table.group(:axle_id).select(:axle_id, newest).to_h { |row| row.values_at(:axle_id, :newest) }
      end

      private

      def record(row)
        quantiles = JSON.parse(row[:quantiles]).transform_keys(&:to_f)
        ForecastGiven.new(
          **row.slice(:id, :axle_id, :inspection_id, :as_of_km, :limit_mm, :look_again_km, :afterwards),
          given_on: Date.iso8601(row[:given_on]),
          quantiles:
        )
      end
    end
  end
end
