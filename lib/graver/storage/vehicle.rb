# frozen_string_literal: true

module Graver
  module Storage
    # kind: "car", "van", "off_roader", "pickup" or "motorcycle"; drive: "combustion", "hybrid" or "electric";
    # distance_unit: "km" or "mi"; axles: [Axle]. sample: made up, so that made-up values count on it.
    # make, model, year, plate, vin: the owner's own notes, or nil
    Vehicle =
      Core::Value.define(
        :id,
        :name,
        :kind,
        :drive,
        :distance_unit,
        :archived,
        :sample,
        :axles,
        :make,
        :model,
        :year,
        :plate,
        :vin
      ) do
        # Whose wear its own is expected to be like, by kind.
        def wears_as = drive == "combustion" ? kind : drive
      end
  end
end
