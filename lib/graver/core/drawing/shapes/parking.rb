# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # The parking brake of a disc brake: lever and cable, a motor, or shoes in the rotor's hat.
        module Parking
          class << self
            # levels: Levels -> { part id => [Solid] }
            def call(levels, configuration)
              case configuration["parking_brakes"]
              when "cable"
                cable(levels)
              when "electric"
                { "motor" => motor(levels) }
              when "drum_in_hat"
                shoes(levels)
              else
                {}
              end
            end

            private

            def motor(levels)
              s, back = levels.method(:s), levels.housing_back
              low = levels.pad_middle - levels.sizes.piston
              [
                Forms.cylinder("x", [0, levels.pad_middle], levels.sizes.piston - s[4], back - s[24], back),
                Forms.box([back - s[44], back - s[24]], [-s[18], s[40]], [low, levels.pad_middle + s[20]])
              ]
            end

            def cable(levels)
              s, back = levels.method(:s), levels.housing_back
              z = levels.pad_middle
              {
                "lever" => [
                  Forms.cylinder("x", [0, z], s[13], back - s[12], back, corners: 16),
                  Forms.box([back - s[20], back - s[12]], [-s[7], s[46]], [z - s[7], z + s[7]])
                ],
                "cable" => [Forms.cylinder("z", [back - s[16], s[40]], s[4], z - s[84], z - s[7], corners: 6)]
              }
            end

            # Inside the hat, on the knuckle.
            def shoes(levels)
              s = levels.method(:s)
              out = levels.hat_radius - s[8]
              along = [levels.face + s[3], levels.face + s[19]]
              table = ->(low, high) { Forms.arc(out - s[8], out - s[4], [low, high], along) }
              lining =
                lambda do |low, high|
                  Forms.arc(out - s[4], out, [low + 8, high - 8], along).map { |each| each.with(stuff: "friction") }
                end
              {
                "parking_shoe" => [[-66, 66], [114, 246]].flat_map { |low, high| table[low, high] + lining[low, high] },
                "adjuster" => [Forms.cylinder("y", [(along.sum / 2), -(out - s[6])], s[5], -s[20], s[20], corners: 10)]
              }
            end
          end
        end
      end
    end
  end
end
