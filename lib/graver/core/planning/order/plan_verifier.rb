# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Verifies an order of steps and reports every step whose needs are not met: a missing earlier step, a fact it
      # requires (the piston is home), a fact it forbids (a caliper is open when the pedal is pumped).
      class PlanVerifier
        # about: id of the fact or step; kind: "requires", "forbids" or "needs"; where: "front left" or nil
        Violation = Value.define(:placed, :kind, :about, :where)
        attr_reader :procedure

        # base: the planner's own order for these lifts: an optional fact it never adds is not required.
        def initialize(procedure, lifts, base)
          @procedure = procedure
          @facts = procedure.facts
          @places = FactPlaces.new(procedure, lifts)
          @given = base.flat_map { |placed| of(placed).adds }.to_h { |place| [place, true] }
        end

        # [PlannedStep] -> [Violation], empty if the order is valid. held: places of facts that hold at the start; done:
        # keys of done steps, which are not verified again.
        def call(placed, held: [], done: [])
          holds = held.to_h { |place| [place, true] }
          # By identity: two steps of the same text are two.
          seen = {}.compare_by_identity
          later = placed.group_by { |each| each.step.id }
          placed.flat_map do |each|
            next (seen[each] = true) && [] if done.include?(each.key)

            found = facts_missing(each, holds) + needs_missing(each, seen, later)
            @places.apply(each, holds)
            seen[each] = true
            found
          end
        end

        # Whether the later step needs, here, what the earlier one does.
        def asks_for?(later, earlier)
          asked, done = of(later), of(earlier)
          (later.step.needs.include?(earlier.step.id) && concerns?(earlier, later)) ||
            asked.requires.intersect?(done.adds) || asked.forbids.intersect?(done.removes)
        end

        # Whether the order of the two places matters at all.
        def concerns?(one, other)
          return true if one.lift.nil? || other.lift.nil?
          return false unless one.lift == other.lift

          one.axle.nil? || other.axle.nil? || [one.axle, one.side] == [other.axle, other.side]
        end

        private

        def of(placed) = @places.of(placed)

        def facts_missing(placed, holds)
          missing =
            of(placed).requires.reject do |place|
              holds.key?(place) || (@facts.fetch(place.first).optional && !@given.key?(place))
            end
          standing = of(placed).forbids.select { |place| holds.key?(place) }
          missing.map { |place| fault(placed, "requires", *place) } +
            standing.map { |place| fault(placed, "forbids", *place) }
        end

        def fault(placed, kind, about, *where)
          Violation.new(placed:, kind:, about:, where: where.empty? ? nil : where.join(" "))
        end

        def needs_missing(placed, seen, all)
          placed.step.needs.flat_map do |id|
            here = all.fetch(id, []).select { |other| concerns?(other, placed) }
            here
              .reject { |other| seen.key?(other) }
              .map { |other| fault(placed, "needs", id, *[other.axle, other.side].compact) }
          end
        end
      end
    end
  end
end
