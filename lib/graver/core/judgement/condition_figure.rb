# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A figure that is read with the rest: level, moisture or age of the fluid, clicks of the handbrake, what the
      # vehicle's own counter says. unit: as it is shown, or "distance": that of the odometer beside it; axle: it is of,
      # or nil; spoken: somebody's word, entered where it is compared and not on the walk round; in_job: asked at a step
      # only
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
