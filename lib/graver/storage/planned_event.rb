# frozen_string_literal: true

module Graver
  module Storage
    # kind: "trip", "driving" or "inspection"; distance as entered (of a trip, or a year's driving); wear_factor: text
    # or nil.
    PlannedEvent = Core::Value.define(:id, :vehicle_id, :kind, :name, :from_on, :to_on, :distance, :unit, :wear_factor)
  end
end
