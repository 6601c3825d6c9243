# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # A solid where it is drawn, as corners and faces. part: id of its part; ends: [is the lower end drawn, is the
      # upper one], as a solid cut in two has none where the cut is.
      class Body
        # points: numbers of its vertices, in order; hole: the same of a hole in it, or nil; normal: [x, y, z] of length
        # 1, outwards; inner: the wall of a hole
        Face = Value.define(:points, :hole, :normal, :inner)

        attr_reader :part, :solid, :vertices, :faces

        def initialize(part, solid, ends: [true, true])
          @part = part
          @solid = solid
          @rim = solid.outline.length
          @vertices = solid.vertices
          @vertices += solid.with(outline: solid.hole).vertices if solid.hole
          @faces = caps(ends) + walls(0, @rim, solid.seams, inner: false)
          @faces += walls(2 * @rim, solid.hole.length, [], inner: true) if solid.hole
        end

        # Distance of a hole's wall from its middle, or nil.
        def hole_radius
          @hole_radius ||= solid.hole&.map { |point| distance(point) }&.min
        end

        # The middle of the outline.
        def middle
          @middle ||= solid.outline.transpose.map { |values| values.sum / values.length.to_f }
        end

        # Does another body lie within this one's hole, seen along its axis?
        def around?(other)
          return false unless solid.hole

          across = Solid::ACROSS.fetch(solid.axis)
          other.vertices.all? { |vertex| distance(vertex.values_at(*across)) <= hole_radius + TOUCHING }
        end

        # Does another body of the same axis go through its material, seen along the axis? Of two alike, neither does.
        def through?(other)
          return false unless other.size < size && overlaps?(other)

          points = other.solid.outline
          points.all? { |point| within?(point) } &&
            !(solid.hole && points.any? { |point| distance(point) < hole_radius })
        end

        # Is a piece of such a body inside its material?
        def buries?(piece) = piece.solid.from >= solid.from - TOUCHING && piece.solid.to <= solid.to + TOUCHING

        # Its extent across the axis.
        def size
          @size ||= solid.outline.transpose.sum { |values| values.max - values.min }
        end

        # The body cut across its axis -> [Body]
        def cut(at)
          return [self] unless solid.from < at - TOUCHING && at + TOUCHING < solid.to

          [
            Body.new(part, solid.with(to: at), ends: [true, false]),
            Body.new(part, solid.with(from: at), ends: [false, true])
          ]
        end

        # Lengths below this, in mm, are touching.
        TOUCHING = 0.6

        private

        def overlaps?(other) = other.solid.from < solid.to - TOUCHING && solid.from < other.solid.to - TOUCHING

        # Is a point, across the axis, inside its outline?
        def within?((one, two))
          turns =
            solid.outline.each_with_index.map do |(x, y), at|
              next_x, next_y = solid.outline[(at + 1) % @rim]
              ((next_x - x) * (two - y)) - ((next_y - y) * (one - x))
            end
          turns.all? { |turn| turn >= -TOUCHING } || turns.all? { |turn| turn <= TOUCHING }
        end

        def distance(point) = Math.hypot(point[0] - middle[0], point[1] - middle[1])

        def caps(ends)
          [0, 1].select { |end_| ends[end_] }
            .map do |end_|
              points = Array.new(@rim) { |at| (end_ * @rim) + at }
              hole = solid.hole && Array.new(solid.hole.length) { |at| (2 * @rim) + (end_ * solid.hole.length) + at }
              normal = [0, 0, 0]
              normal[Solid::ALONG.fetch(solid.axis)] = end_.zero? ? -1 : 1
              Face.new(points:, hole:, normal:, inner: false)
            end
        end

        def walls(first, count, seams, inner:)
          (0...count)
            .reject { |at| seams.include?(at) }
            .map do |at|
              nxt = (at + 1) % count
              low = [first + at, first + nxt]
              Face.new(
                points: low + low.reverse.map { |each| each + count },
                hole: nil,
                normal: normal(low, inner),
                inner:
              )
            end
        end

        # Away from the solid's middle; of a hole's wall, towards it.
        def normal(pair, inner)
          across = Solid::ACROSS.fetch(solid.axis)
          one, two = pair.map { |each| @vertices[each].values_at(*across) }
          out = [two[1] - one[1], one[0] - two[0]]
          by = (away?(out, one) ^ inner ? 1 : -1) / Math.hypot(*out)
          spot = [0, 0, 0]
          across.zip(out) { |index, value| spot[index] = value * by }
          spot
        end

        # Does a direction at a point lead away from the middle?
        def away?(out, point) = (out[0] * (point[0] - middle[0])) + (out[1] * (point[1] - middle[1])) >= 0
      end
    end
  end
end
