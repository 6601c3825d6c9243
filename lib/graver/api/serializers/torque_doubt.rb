# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Says in words what is doubtful about a torque.
      module TorqueDoubt
        module_function

        # doubt: as Core::Planning::Torque#doubt gives it; plausible: [least, most] in N·m.
        def sentence(torque, doubt, plausible)
          return unless doubt

          usual = "#{torque.in_unit("N·m")} N·m is outside the usual #{plausible.join(" to ")} N·m (common practice)"
          case doubt
          when "unknown" then "#{usual}: check the figure and its unit against the maker's manual."
          when "ten_times" then "#{usual}: is the decimal point in its place?"
          else "#{usual}: were #{format("%g", torque.entered)} #{doubt} meant?"
          end
        end
      end
    end
  end
end
