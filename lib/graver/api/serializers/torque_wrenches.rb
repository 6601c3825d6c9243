# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Torque wrenches, and the settings they are used at, in words.
      module TorqueWrenches
        module_function

        def row(wrench)
          wrench
            .to_h
            .slice(:id, :name, :unit, :least, :most, :graduation, :length_mm, :retired)
            .merge(
              calibrated_on: wrench.calibrated_on&.iso8601,
              revision: Service::Base::Revision.of(Service::Workshop::VersionedTool.fields(wrench))
            )
        end

        # Core::Planning::WrenchChoice::Setting, Borrow or nil
        def choice(found)
          case found
          when nil
            nil
          when Core::Planning::WrenchChoice::Setting
            setting(found)
          else
            { wrench: nil, setting: nil, unit: nil, low: nil, high: nil, overdue: false, sentence: borrow(found) }
          end
        end

        def setting(found)
          wrench = found.wrench
          {
            wrench: wrench.name,
            setting: found.setting,
            unit: wrench.unit,
            low: found.low.round(1),
            high: found.high.round(1),
            overdue: found.overdue,
            sentence: said(found)
          }
        end

        def said(found)
          unit = found.wrench.unit
          low, high =
            [found.low, found.high].map { |torque| format("%.3g", Core::Quantity::TORQUE.from_base(torque, unit)) }
          parts = [Say::Texts.t("torque.lands", low:, high:, unit:)]
          if found.overdue
            parts << (
              if found.wrench.calibrated_on
                Say::Texts.t("torque.calibrated", day: found.wrench.calibrated_on)
              else
                Say::Texts.t("torque.never_calibrated")
              end
            )
          end
          parts.join("; ")
        end

        def borrow(found)
          near = found.near && Say::Texts.t("torque.slack_end", wrench: found.near.name)
          borrow =
            (
              if found.range
                Say::Texts.t("torque.borrow", range: found.range.join(" to "))
              else
                Say::Texts.t("torque.ask_shop")
              end
            )
          [borrow, near].compact.join(" ")
        end

        private_class_method :setting, :said, :borrow
      end
    end
  end
end
