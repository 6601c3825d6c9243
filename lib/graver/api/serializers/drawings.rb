# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Corners in three dimensions, as numbers to draw.
      class Drawings
        # words: { term id => what it means }
        def initialize(words)
          @words = words
        end

        # Service::Jobs::JobDrawing::All -> Hash
        def job(all)
          { corners: all.corners.map { |key, drawn| { key:, **corner(drawn) } }, steps: all.steps.map(&:to_h) }
        end

        # Service::Household::CornerDrawing::Drawn -> Hash
        def corner(drawn)
          { axle: drawn.axle, side: drawn.side, parts: drawn.parts.map { |part| part(part, drawn) } }
        end

        private

        def part(part, drawn)
          kind = part.kind
          {
            **kind.to_h.slice(:id, :stuff, :carried_by, :fastener, :term, :found),
            label: drawn.labels.fetch(kind.id),
            way: kind.direction.map { |each| number(each * kind.by * drawn.scale) },
            off_when: kind.off_when.any?,
            shown: kind.shown.empty?,
            about: @words[kind.term],
            data: drawn.data.fetch(kind.id).map(&:to_h),
            fields: kind.data,
            known: part.known,
            solids: part.solids.map { |solid| solid(solid) }
          }
        end

        def solid(solid)
          {
            axis: solid.axis,
            outline: solid.outline.flatten.map { |each| number(each) },
            from: number(solid.from),
            to: number(solid.to),
            hole: solid.hole&.flatten&.map { |each| number(each) },
            seams: solid.seams,
            stuff: solid.stuff
          }.compact
        end

        def number(value) = value.round(1)
      end
    end
  end
end
