# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # The parts of a corner where they are at a moment of the job.
      module Scene
        module_function

        # parts: [Corner::DrawnPart]; facts: those that hold at the corner; scale: size of the brake against a usual one
        # -> [[DrawnPart, [x, y, z] off its place]], without what isn't drawn
        def placed(parts, facts, scale)
          drawn = parts.select { |part| part.kind.drawn?(facts) }
          moved(drawn, scale) { |kind| kind.off?(facts) ? 1 : 0 }
        end

        # With everything off its place.
        def exploded(parts, scale)
          kept = parts.flat_map { |part| part.kind.kept_by }
          placed(parts, parts.flat_map { |part| part.kind.off_when }.uniq - kept, scale)
        end

        # The block says of a PartKind how far it is off its place, of 1; what is carried goes along.
        def moved(parts, scale, &share)
          by_id = parts.to_h { |part| [part.kind.id, part] }
          parts.map { |part| [part, offset(part, by_id, scale, &share)] }
        end

        # -> [x, y, z]
        def offset(part, by_id, scale, &share)
          far = yield(part.kind) * part.kind.by * scale
          own = part.kind.direction.map { |each| each * far }
          carrier = by_id[part.kind.carried_by]
          carrier ? own.zip(offset(carrier, by_id, scale, &share)).map(&:sum) : own
        end

        # -> [Body], cut where one goes through another or its hole, so that they can be put one behind the other, and
        # without what is buried in another
        def bodies(placed)
          whole = placed.flat_map { |part, by| part.solids.map { |solid| Body.new(part.kind.id, solid.moved(by)) } }
          whole.flat_map do |body|
            pieces(body, whole.select { |other| other != body && other.solid.axis == body.solid.axis })
          end
        end

        def pieces(body, others)
          through = others.select { |other| other.through?(body) }
          cuts =
            [*through, *others.select { |other| other.around?(body) }].flat_map do |each|
              [each.solid.from, each.solid.to]
            end
          found = cuts.uniq.reduce([body]) { |pieces, at| pieces.flat_map { |piece| piece.cut(at) } }
          found.reject { |piece| through.any? { |other| other.buries?(piece) } }
        end
      end
    end
  end
end
