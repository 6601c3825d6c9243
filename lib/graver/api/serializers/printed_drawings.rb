# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A job's brakes as they are printed: each axle taken apart and numbered, and what comes off and goes on.
      class PrintedDrawings
        # Of one axle.
        MOST_FRAMES = 18
        REST = 0.6
        WHEEL = %w[wheel wheel_nut].freeze

        # Service::Jobs::JobDrawing::All -> [{ axle:, apart: FlatPicture, named: [[number, id, label]], frames: [{ off:
        # labels, on: labels, picture: FlatPicture }] }]
        def call(all)
          @all = all
          first_corners.map do |key, drawn|
            parts = drawn.parts.reject { |part| WHEEL.include?(part.kind.id) || part.kind.shown.any? }
            {
              axle: drawn.axle,
              apart: Core::Drawing::FlatPicture.of(Core::Drawing::Scene.exploded(parts, drawn.scale)),
              named:
                parts.map.with_index(1) { |part, number| [number, part.kind.id, drawn.labels.fetch(part.kind.id)] },
              frames: frames(key)
            }
          end
        end

        private

        def first_corners
          @all.corners.reject { |key, _| key.end_with?(".new") }.uniq { |_, drawn| drawn.axle }
        end

        def frames(key)
          moves = @all.steps.select { |step| step.corner.delete_suffix(".new") == key && (step.out + step.in).any? }
          moves.first(MOST_FRAMES).map { |step| frame(step) }
        end

        def frame(step)
          drawn = @all.corners.fetch(step.corner)
          share = shares(step)
          parts = drawn.parts.reject { |part| step.hidden.include?(part.kind.id) }
          placed = Core::Drawing::Scene.moved(parts, drawn.scale) { |kind| share[kind.id] || 0 }
          names = ->(ids) { ids.map { |id| drawn.labels.fetch(id) } }
          {
            off: names[step.out],
            on: names[step.in],
            picture: Core::Drawing::FlatPicture.of(placed, about: step.out + step.in)
          }
        end

        # How far each part is off its place, of 1.
        def shares(step)
          far = ->(ids, share) { ids.to_h { |id| [id, share] } }
          { **far[step.off, 1], **far[step.out, REST], **far[step.in, 1 - REST] }
        end
      end
    end
  end
end
