# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Checks whether a bolt is tight enough. A range is checked at its ends, a single value within the wrench's
      # tolerance.
      module TorqueCheck
        module_function

        # reached_newton_metres: the peak; torque: Torque; share: permissible deviation of the wrench; angle_degrees: of
        # the further stage, nil where there is none; reached_degrees; angle_within: how far an angle may be off ->
        # "ok", "under" or "over"
        def call(reached_newton_metres, torque, share:, angle_degrees: nil, reached_degrees: nil, angle_within: nil)
          stage = side(reached_newton_metres, *bounds(torque, share))
          return stage unless angle_degrees
          # without its torque, or without its angle, a two-stage bolt is not tight
          return "under" if stage == "under" || reached_degrees.nil?

          # beyond its torque a stretched bolt keeps turning: its peak says nothing, the angle does
          side(reached_degrees, angle_degrees - angle_within, angle_degrees + angle_within)
        end

        # [least, most] in N·m
        def bounds(torque, share)
          return torque.newton_metres * (1 - share), torque.newton_metres * (1 + share) unless torque.low

          [torque.low, torque.high].map { |value| Quantity::TORQUE.to_base(value, torque.unit) }
        end

        def side(value, least, most)
          return "under" if value < least

          value > most ? "over" : "ok"
        end
      end
    end
  end
end
