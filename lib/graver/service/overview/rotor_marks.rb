# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What was seen on a rotor's faces, as it is drawn.
      module RotorMarks
        # axle: AxleOverview::Overview -> [[id of the mark, "inner" or "outer"]]
        def self.call(axle, side)
          axle
            .seen
            .select { |seen| seen.item.id == "rotor_face" && seen.side == side && seen.face }
            .map { |seen| [seen.mark.id, seen.face] }
        end
      end
    end
  end
end
