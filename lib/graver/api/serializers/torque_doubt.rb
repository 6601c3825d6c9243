# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Explains a doubtful torque in words.
      module TorqueDoubt
        module_function

        # doubt: as Core::Planning::Torque#doubt gives it; plausible: [least, most] in N·m.
        def sentence(torque, doubt, plausible)
          return unless doubt

          usual = Say::Texts.t("torque.unusual", value: torque.in_unit("N·m"), range: plausible.join(" to "))
          case doubt
          when "unknown"
            Say::Texts.t("torque.unknown", unusual: usual)
          when "ten_times"
            Say::Texts.t("torque.ten_times", unusual: usual)
          else
            "#{usual}: were #{format("%g", torque.entered)} #{doubt} meant?"
          end
        end
      end
    end
  end
end
