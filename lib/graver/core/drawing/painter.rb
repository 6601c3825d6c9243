# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Puts bodies on a picture one behind the other. A body with a hole is painted twice: the hole's far wall before
      # what is in the hole, the rest after it. Where a plane separates two bodies, the viewer's side of it is in front;
      # only where none of the planes tried does, the nearer middle counts.
      class Painter
        # body: Body; inner: the wall of its hole; faces: [[Face, [[right, down]], [[right, down]] of its hole or nil]]
        # that are seen; lines: [[[right, down], [right, down]]] its edges that are drawn
        Item = Value.define(:body, :inner, :faces, :lines, :box, :spans, :depth)
        # An edge between faces that meet at less than this is round.
        CREASE = Math.cos(36 * Math::PI / 180)

        def initialize(camera)
          @camera = camera
          @planes = Planes.new(camera)
        end

        # [Body] -> [Item], the furthest first
        def call(bodies)
          items = bodies.flat_map { |body| items(body) }
          sorted(items)
        end

        private

        def items(body)
          flat = body.vertices.map { |vertex| @camera.flat(vertex) }
          spans = Planes::AXES.map { |axis| body.vertices.map { |vertex| @camera.dot(vertex, axis) }.minmax }
          depth = @camera.depth(body.vertices.transpose.map { |values| values.sum / values.length.to_f })
          body
            .faces
            .group_by(&:inner)
            .filter_map do |inner, faces|
              painted = painted(faces, flat)
              next if painted.empty?

              box = painted.flat_map { |_, points, _| points }.transpose.map(&:minmax)
              Item.new(body:, inner:, faces: painted, lines: lines(faces, flat), box:, spans:, depth:)
            end
        end

        # Those that are seen.
        def painted(faces, flat)
          faces
            .select { |face| @camera.sees?(face) }
            .map { |face| [face, flat.values_at(*face.points), face.hole && flat.values_at(*face.hole)] }
        end

        # Outlines, and edges where faces meet sharply. An edge of one face alone is a seam or a cut, but for a hole's
        # rim.
        def lines(faces, flat)
          edges = Hash.new { |hash, key| hash[key] = [] }
          faces.each { |face| pairs(face.points) { |pair| edges[pair] << face } }
          drawn = edges.select { |_, (first, second)| second && drawn?(first, second) }.keys
          faces.each { |face| pairs(face.hole || []) { |pair| drawn << pair } if @camera.sees?(face) }
          drawn.map { |pair| flat.values_at(*pair) }
        end

        def pairs(points)
          points.each_with_index { |one, at| yield [one, points[(at + 1) % points.length]].sort }
        end

        def drawn?(first, second)
          seen = [first, second].count { |face| @camera.sees?(face) }
          seen == 1 || (seen == 2 && @camera.dot(first.normal, second.normal) < CREASE)
        end

        def sorted(items)
          behind = Array.new(items.length) { [] }
          waits = Array.new(items.length, 0)
          items
            .each_index
            .to_a
            .combination(2) do |one, two|
              next unless overlap?(items[one].box, items[two].box)

              first = order(items[one], items[two]) or next
              back, front = first.negative? ? [one, two] : [two, one]
              behind[back] << front
              waits[front] += 1
            end
          release(items, behind, waits)
        end

        def release(items, behind, waits)
          left = items.each_index.to_a
          done = []
          until left.empty?
            free = left.select { |at| waits[at].zero? }
            # Bodies that hide each other in a ring are begun at the one that waits for fewest.
            at =
              (
                if free.empty?
                  left.min_by { |each| [waits[each], items[each].depth] }
                else
                  free.min_by { |each| items[each].depth }
                end
              )
            left.delete(at)
            done << items[at]
            behind[at].each { |each| waits[each] -= 1 }
          end
          done
        end

        def overlap?(one, two)
          one.zip(two).all? { |(low, high), (other_low, other_high)| low < other_high && other_low < high }
        end

        # Negative: the first is behind the second; nil: neither hides the other.
        def order(one, two)
          return one.inner ? -1 : 1 if one.body.equal?(two.body)

          apart = @planes.order(one, two)
          return apart == :beside ? nil : apart unless apart == :together
          return one.inner ? -1 : 1 if one.body.around?(two.body)
          return two.inner ? 1 : -1 if two.body.around?(one.body)

          one.depth <=> two.depth
        end
      end
    end
  end
end
