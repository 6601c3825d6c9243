# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # How much fluid is displaced, drawn off first, and bought. All volumes in ml.
      class FluidPlan
        # pushed: displaced, nil if unknown; draw_off: before the pistons are pushed back, nil if unknown; needed,
        # bottles: [ml, ...] to buy
        Plan = Value.define(:pushed, :headroom, :draw_off, :needed, :bottles)

        # rules: { flush_ml: per corner, opened_ml: per corner, top_up_ml:, bottles: [ml], headroom_share: }
        def initialize(rules)
          @rules = rules
        end

        # pushed: ml of all axles or nil; headroom: ml above the level or nil; pushes: whether pistons are pushed back;
        # flushed, opened: corners -> Plan
        def call(pushed:, headroom:, pushes:, flushed:, opened:)
          needed = (flushed * @rules.fetch(:flush_ml)) + (opened * @rules.fetch(:opened_ml))
          needed = @rules.fetch(:top_up_ml) unless needed.positive?
          Plan.new(
            pushed:,
            headroom:,
            draw_off: pushes ? DrawOff.call(pushed, headroom, @rules.fetch(:headroom_share)) : 0,
            needed:,
            bottles: bottles(needed)
          )
        end

        # The fewest bottles that hold enough; of those the smallest total.
        def bottles(needed)
          sizes = @rules.fetch(:bottles)
          (1..(needed / sizes.max.to_f).ceil).each do |count|
            fits = sizes.repeated_combination(count).select { |each| each.sum >= needed }
            return fits.min_by(&:sum).sort.reverse if fits.any?
          end
          []
        end
      end
    end
  end
end
