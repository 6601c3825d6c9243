# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # Things spaced evenly round the axle.
        module Ring
          class << self
            # -> [[y, z]], the first at the top unless turned; turned: degrees
            def places(count, radius, turned: 90)
              Array.new(count) { |at| Forms.on(radius, turned + (360.0 * at / count)) }
            end

            # Headed bolts into something behind them: shank inwards from the seat. -> [Solid]
            def bolts(places, head, shank, seat, length)
              places.flat_map { |at| bolt(at, head, shank, seat, length) }
            end

            # One bolt along x; its head is outside its seat, its shank inside; a negative length turns it round.
            def bolt(at, head, shank, seat, length)
              tall = head * (length.positive? ? 1.1 : -1.1)
              [
                Forms.hexagon("x", at, head, *[seat, seat + tall].minmax),
                Forms.cylinder("x", at, shank, *[seat - length, seat].minmax, corners: 6)
              ]
            end
          end
        end
      end
    end
  end
end
