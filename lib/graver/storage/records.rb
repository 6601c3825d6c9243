# frozen_string_literal: true

require_relative "../core/value"

module Graver
  module Storage
    # kind: "car", "van", "off_roader" or "motorcycle"; distance_unit: "km" or "mi"; axles: [Axle].
    Vehicle = Core::Value.define(:id, :name, :kind, :distance_unit, :archived, :axles)

    # sides: ["left", "right"], or the one that carries a disc.
    Axle = Core::Value.define(:id, :vehicle_id, :name, :sides)

    # The newest entry of one key, as entered.
    BrakeDatum = Core::Value.define(:key, :value, :unit, :source, :recorded_at)

    LookOver = Core::Value.define(:id, :vehicle_id, :date, :odometer_value, :odometer_unit, :odometer_km, :note, :readings)

    # One row as entered; several places of one position are several rows.
    ReadingRow = Core::Value.define(:id, :axle_id, :event, :part, :side, :pad, :place, :method, :value, :upper, :unit, :overall, :doubt)

    Draft = Core::Value.define(:content, :revision, :recorded_at)

    # ticked: step keys done; planned_for: Date or nil; state: "planned", "started" or "finished".
    Job = Core::Value.define(:id, :axle_id, :procedure, :planned_for, :state, :ticked)
  end
end
