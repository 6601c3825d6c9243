# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Planes that part two bodies, so that the one on the viewer's side hides the other and not the other way round.
      class Planes
        # Directions across which bodies may be apart: along the axle, and every 22.5° round it.
        AXES = [[1, 0, 0], *Array.new(8) { |at| [0, *Forms.on(1, 22.5 * at)] }].freeze
        # Of a body with more sides than these, the planes along its faces are not tried.
        MOST_FACES = 8

        def initialize(camera)
          @camera = camera
        end

        # Does none of the planes part two of Painter::Item?
        def together?(one, two) = order(one, two) == :together

        # -1: the first is behind the second; 1: in front of it; nil or :beside: neither hides the other; :together
        def order(one, two)
          AXES.each_with_index do |axis, at|
            (low, high), (other_low, other_high) = one.spans[at], two.spans[at]
            sign =
              if high <= other_low + Body::TOUCHING
                -1
              elsif other_high <= low + Body::TOUCHING
                1
              end
            next unless sign

            return facing(axis, sign)
          end
          by_faces(one.body, two.body) ||
            by_faces(two.body, one.body)&.then { |found| found == :beside ? nil : -found } || :together
        end

        private

        # A plane along one of the first body's own faces, behind which all of the second is.
        def by_faces(one, two)
          return if one.solid.outline.length > MOST_FACES || one.solid.hole

          one.faces.each do |face|
            level = @camera.dot(face.normal, one.vertices[face.points.first]) - Body::TOUCHING
            next unless two.vertices.all? { |vertex| @camera.dot(face.normal, vertex) >= level }

            return facing(face.normal, -1) || :beside
          end
          nil
        end

        # sign: -1: the first is on the axis's far side; nil: seen edge on, neither hides the other
        def facing(axis, sign)
          along = @camera.dot(axis, @camera.towards)
          return nil if along.abs < 1e-9

          along.positive? ? sign : -sign
        end
      end
    end
  end
end
