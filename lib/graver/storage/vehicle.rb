# frozen_string_literal: true

module Graver
  module Storage
    # kind: "car", "van", "off_roader" or "motorcycle"; distance_unit: "km" or "mi"; axles: [Axle].
    # sample: made up, so that made-up values count on it.
    Vehicle = Core::Value.define(:id, :name, :kind, :distance_unit, :archived, :sample, :axles)
  end
end
