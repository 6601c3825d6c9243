# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # A digital caliper or micrometer with a send button: it shows the thickness it touches, with noise, a zero that
      # can be wrong, and drift with every reading.
      class Gauge < Adjustable
        attr_reader :method

        # step_mm: the last digit it shows; noise_mm: standard deviation of repeated readings
        def initialize(method:, step_mm:, noise_mm:, **rest)
          @method = method
          @step_mm = step_mm
          @readings = 0
          knobs = [
            { id: "noise", label: "Noise", unit: "mm", value: noise_mm, least: 0, most: 1 },
            { id: "zero", label: "Wrong zero", unit: "mm", value: 0.0, least: -5, most: 5 },
            { id: "drift", label: "Drift per reading", unit: "mm", value: 0.0, least: -0.5, most: 0.5 }
          ]
          super(knobs:, **rest)
        end

        def quantities = ["length"]

        private

        def sample(quantity)
          shown = touching_mm + knob("zero") + (knob("drift") * @readings) + (knob("noise") * normal)
          @readings += 1
          steps = (shown / @step_mm).round
          Sample.new(quantity:, value: format("%.#{digits}f", steps * @step_mm), unit: "mm", simulated: true)
        end

        # Closed jaws, until it is put somewhere.
        def touching_mm
          @place.vehicle ? @world.length_mm(*@place.to_h.values_at(:vehicle, :axle, :part, :side, :pad)) : 0.0
        end

        def digits = [-Math.log10(@step_mm).floor, 0].max
      end
    end
  end
end
