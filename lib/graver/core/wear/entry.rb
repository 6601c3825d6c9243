# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # One dated thing in an axle's log, ready to be put in order.
      #
      # - date: Date
      # - odometer_km: Float
      # - part: "pad" or "rotor"
      # - side, pad: "left" or "right", "inner" or "outer"; nil on a fit of all of them
      # - event: "fit", "reading", "squealer", "sensor", "metal", "resurfaced" or "freed"
      # - reading: Measurement::Reading, or nil where the event says enough
      # - trust: 1.0, or less for a reading kept with a flag
      # - affirmed: questioned, measured again and found right
      # - ref: returned with a flag (a line number, a record's id)
      Entry =
        Value.define(:date, :odometer_km, :part, :side, :pad, :event, :reading, :trust, :affirmed, :ref) do
          def initialize(affirmed: false, **rest) = super
          # Whether it says how thick the part was.
          def thickness? = %w[reading squealer sensor metal].include?(event)
          # Whether another set began with it.
          def renewal? = %w[fit resurfaced].include?(event)
        end
    end
  end
end
