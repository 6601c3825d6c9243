# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Where a brake is looked at from, far away. turn: degrees round the upright from straight outside, positive from
      # the right; tilt: degrees from above.
      class Camera
        TURN = 38
        TILT = 22
        # Light over the viewer's left shoulder: [right, up, towards the viewer].
        LIGHT = [-0.42, 0.72, 0.55].freeze

        attr_reader :right, :up, :towards

        def initialize(turn: TURN, tilt: TILT)
          turn, tilt = [turn, tilt].map { |angle| angle * Math::PI / 180 }
          @towards = [Math.cos(turn) * Math.cos(tilt), Math.sin(turn) * Math.cos(tilt), Math.sin(tilt)]
          @right = [-Math.sin(turn), Math.cos(turn), 0.0]
          @up = [-Math.cos(turn) * Math.sin(tilt), -Math.sin(turn) * Math.sin(tilt), Math.cos(tilt)]
        end

        # [x, y, z] -> [right, down] on the picture, in mm
        def flat(point) = [dot(point, right), -dot(point, up)]
        # How near a point is.
        def depth(point) = dot(point, towards)
        # Is a face turned to the viewer?
        def sees?(face) = dot(face.normal, towards) > 1e-9

        # 0, in the shade, to 1, in the light.
        def light(normal)
          lit = [right, up, towards].zip(LIGHT).sum { |axis, part| dot(normal, axis) * part }
          ((lit / Math.sqrt(LIGHT.sum { |part| part**2 })) + 1) / 2
        end

        # The scalar product.
        def dot(one, two) = (one[0] * two[0]) + (one[1] * two[1]) + (one[2] * two[2])
      end
    end
  end
end
