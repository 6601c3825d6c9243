# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # A torque wrench that tells its peak and the angle after it. It is set to a figure and pulled: with noise, and,
      # where its knobs say so, pulled on after the click or clicking early.
      class TorqueWrench < Adjustable
        # How much is pulled on after the click, and how much early it clicks, as shares.
        OVER = 0.08..0.25
        EARLY = 0.1..0.25

        def initialize(**rest)
          super(
            knobs: [
              { id: "noise", label: "Noise", unit: "%", value: 1.0, least: 0, most: 20 },
              { id: "over", label: "Pulled on after the click, per bolt", unit: "%", value: 0.0, least: 0, most: 100 },
              { id: "early", label: "Clicks early, per bolt", unit: "%", value: 0.0, least: 0, most: 100 }
            ],
            **rest
          )
        end

        def quantities = %w[torque angle]

        # set: its setting, N·m or degrees; it ignores the rest of the place
        def touch(set: nil, **)
          @set = set
        end

        private

        def sample(quantity)
          shown = @set.to_f * (1 + off)
          if quantity == "angle"
            return Sample.new(quantity:, value: format("%.0f", [shown, 0].max), unit: "°", simulated: true)
          end

          Sample.new(quantity:, value: format("%.1f", [shown, 0].max), unit: "N·m", simulated: true)
        end

        def off
          noise = knob("noise") / 100 * normal
          return noise + @random.rand(OVER) if @random.rand * 100 < knob("over")

          @random.rand * 100 < knob("early") ? noise - @random.rand(EARLY) : noise
        end
      end
    end
  end
end
