# frozen_string_literal: true

module Graver
  module Service
    module Household
      # What there is to look at at the wheels of an axle.
      module LookedAt
        module_function

        # AxleRecord -> [Core::Judgement::ConditionItem]
        def items(knowledge, file)
          knowledge.wheel_items.select do |item|
            of_brake?(item, file) && within?(item.calipers, file.caliper) &&
              within?(item.parking_brakes, file.parking_brake) && (!item.sensors || sensor?(file))
          end
        end

        # Whether such a brake, of discs or drums, has it.
        def of_brake?(item, file) = within?(item.brakes, file.brake_kind.brakes)
        # Without the caliper kind every item may be there.
        def within?(list, value) = list.nil? || value.nil? || list.include?(value)
        # Whether an axle carries a wear sensor.
        def sensor?(file) = !["none", nil].include?(file.choice("wear_sensor"))
      end
    end
  end
end
