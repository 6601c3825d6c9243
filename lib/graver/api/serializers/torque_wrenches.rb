# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Torque wrenches, and the settings they are used at, in words.
      module TorqueWrenches
        module_function

        def row(wrench)
          wrench.to_h.slice(:id, :name, :unit, :least, :most, :graduation, :length_mm, :retired).merge(calibrated_on: wrench.calibrated_on&.iso8601)
        end

        # Core::Planning::WrenchChoice::Setting, Borrow or nil
        def choice(found)
          case found
          when nil then nil
          when Core::Planning::WrenchChoice::Setting then setting(found)
          else { wrench: nil, setting: nil, unit: nil, low: nil, high: nil, overdue: false, sentence: borrow(found) }
          end
        end

        def setting(found)
          wrench = found.wrench
          { wrench: wrench.name, setting: found.setting, unit: wrench.unit, low: found.low.round(1), high: found.high.round(1), overdue: found.overdue, sentence: said(found) }
        end

        def said(found)
          off = found.off_share.abs < 0.0005 ? "on the mark" : format("%+.1f %% by its graduation", found.off_share * 100)
          parts = [off, format("± %g %% by its class: %.3g to %.3g N·m", found.tolerance_share * 100, found.low, found.high)]
          parts << (found.wrench.calibrated_on ? "calibrated #{Service::Base::Wording.day(found.wrench.calibrated_on)}, due again" : "never calibrated as far as is known") if found.overdue
          parts.join("; ")
        end

        def borrow(found)
          near = found.near ? " #{found.near.name} has it only at the slack end of its scale." : ""
          range = found.range ? "borrow one for #{found.range.join(" to ")} N·m" : "no common wrench does; ask a shop"
          "No wrench of yours reaches this: #{range}.#{near}"
        end

        private_class_method :setting, :said, :borrow
      end
    end
  end
end
