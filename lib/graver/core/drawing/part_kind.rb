# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # A part of a brake that is drawn, as knowledge/drawing.yml says. conditions, exceptions: where there is one;
      # off_when: facts, each of which says that it is off; kept_by: facts that keep it where it is all the same; shown:
      # drawn only while one of these facts holds; gone: not drawn while it is off; carried_by: the part it goes along
      # with; way: "out", "in", "up", "down", "front" or "rear"; by: how far it is drawn off its place, in mm where the
      # rotor has 280 mm; fields: brake data it is drawn from; term: its glossary entry, or nil; grease: what goes on
      # it; dry: why nothing does; stuff: what it is painted as; steps: ids of the steps it is the part of, beside those
      # that undo or tighten it; found: marks and topics of findings that are about it.
      PartKind =
        Entry.define(
          :id,
          :label,
          :stuff,
          conditions: {
          },
          exceptions: {
          },
          off_when: [].freeze,
          kept_by: [].freeze,
          shown: [].freeze,
          gone: false,
          carried_by: nil,
          way: "out",
          by: 0,
          fastener: nil,
          fields: [].freeze,
          term: nil,
          grease: nil,
          dry: nil,
          steps: [].freeze,
          found: [].freeze
        ) do
          const_set :WAYS,
                    {
                      "out" => [1, 0, 0],
                      "in" => [-1, 0, 0],
                      "up" => [0, 0, 1],
                      "down" => [0, 0, -1],
                      "front" => [0, -1, 0],
                      "rear" => [0, 1, 0]
                    }.freeze

          # configuration as in Conditions.met?
          def here?(configuration)
            Planning::Conditions.met?(conditions, configuration) &&
              (exceptions.empty? || !Planning::Conditions.met?(exceptions, configuration))
          end

          # Keys of the brake data it stands for: what it is drawn from, and of a fastener its torque and drive.
          def data = fields + (fastener ? %w[torque drive].map { |each| "#{fastener}.#{each}" } : [])
          # facts: [String] that hold at the corner
          def off?(facts) = off_when.intersect?(facts) && !kept_by.intersect?(facts)
          # Is it drawn while these facts hold?
          def drawn?(facts) = (shown.empty? || shown.intersect?(facts)) && !(gone && off?(facts))
          # step: Planning::Step -> is it the part of that step?
          def of?(step)
            steps.include?(step.id) || (!fastener.nil? && (step.fasteners + step.tighten).include?(fastener))
          end
          # The way it comes off, as [x, y, z] of length 1
          def direction = self.class::WAYS.fetch(way)
        end
    end
  end
end
