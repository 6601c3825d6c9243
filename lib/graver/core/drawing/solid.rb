# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # A convex prism, in mm. outline: [[a, b]] across its axis: (y, z) of an "x" prism, (x, z) of a "y" prism, (x, y)
      # of a "z" prism; from, to: along the axis. hole: outline of a hole right through it, or nil; seams: numbers of
      # the edges (from vertex n to the next) where another solid of the part goes on, so that nothing is drawn there;
      # stuff: what it is painted as, or nil: as its part.
      #
      # The brake's frame: x points out of the wheel, z up, to the caliper, y to the right as seen from outside. Its
      # origin is the centre of the rotor or of the shoes.
      Solid =
        Value.define(:axis, :outline, :from, :to, :hole, :seams, :stuff) do
          const_set :ACROSS, { "x" => [1, 2], "y" => [0, 2], "z" => [0, 1] }.freeze
          const_set :ALONG, { "x" => 0, "y" => 1, "z" => 2 }.freeze

          # -> [[x, y, z]] of both ends, the lower one first
          def vertices = [from, to].flat_map { |along| outline.map { |point| place(point, along) } }

          # The solid moved by [x, y, z].
          def moved(by)
            across = self.class::ACROSS.fetch(axis).map { |index| by[index] }
            shift = ->(points) { points&.map { |a, b| [a + across[0], b + across[1]] } }
            along = by[self.class::ALONG.fetch(axis)]
            with(outline: shift[outline], hole: shift[hole], from: from + along, to: to + along)
          end

          # Right for left.
          def mirrored
            across = self.class::ACROSS.fetch(axis).index(1)
            return with(from: -to, to: -from) unless across

            flip =
              lambda do |points|
                points&.map { |point| point.each_with_index.map { |value, at| at == across ? -value : value } }
              end
            with(outline: flip[outline], hole: flip[hole])
          end

          # -> [x, y, z] of a point of the outline at a length along the axis
          def place(point, along)
            spot = Array.new(3, along)
            self.class::ACROSS.fetch(axis).zip(point) { |index, value| spot[index] = value }
            spot
          end
        end
    end
  end
end
