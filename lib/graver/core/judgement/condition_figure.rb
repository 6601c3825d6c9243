# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A figure taken with an inspection: level, moisture or age of the fluid, clicks of the handbrake, the vehicle's
      # own counter. unit: as shown, or "distance": the odometer's; axle: its axle, or nil; spoken: a shop's or
      # display's figure, not asked on the inspection form; in_job: asked at a step only
      ConditionFigure =
        Entry.define(
          :id,
          :label,
          :unit,
          :least,
          :most,
          :hint,
          whole: false,
          vehicles: nil,
          axle: nil,
          spoken: false,
          in_job: false
        ) { def unit_beside(distance_unit) = unit == "distance" ? distance_unit : unit }
    end
  end
end
