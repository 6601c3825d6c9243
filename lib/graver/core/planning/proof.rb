# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Walks through an order of steps and notes every step that does not find what it needs: a step that should have
      # come first, a fact it requires (the piston is home), a fact it forbids (a caliper is open when the pedal is
      # pumped).
      class Proof
        # about: id of the fact or step; kind: "requires", "forbids" or "needs"; where: "front left" or nil
        Fault = Value.define(:placed, :kind, :about, :where)
        # Of one step, the facts with their places: see Proof#places.
        Places = Value.define(:requires, :forbids, :gives, :takes)

        attr_reader :procedure

        # base: the planner's own order for these lifts: what it never gives, an optional fact, is not asked for.
        def initialize(procedure, lifts, base)
          @procedure = procedure
          @facts = procedure.facts
          @corners = lifts.to_h { |lift| [lift.name, lift.corners] }
          @places = {}.compare_by_identity
          @given = base.flat_map { |placed| of(placed).gives }.to_h { |place| [place, true] }
        end

        # [Placed] -> [Fault], empty when the order holds
        def call(placed)
          holds = {}
          # By identity: two steps of the same text are two.
          seen = {}.compare_by_identity
          later = placed.group_by { |each| each.step.id }
          placed.flat_map do |each|
            found = facts_missing(each, holds) + needs_missing(each, seen, later)
            of(each).gives.each { |place| holds[place] = true }
            of(each).takes.each { |place| holds.delete(place) }
            seen[each] = true
            found
          end
        end

        # Does the later step ask, here, for what the earlier one does?
        def asks_for?(later, earlier)
          asked, done = of(later), of(earlier)
          (later.step.needs.include?(earlier.step.id) && concerns?(earlier, later)) ||
            asked.requires.intersect?(done.gives) || asked.forbids.intersect?(done.takes)
        end

        # Does what is done at one place come before what is done at the other at all?
        def concerns?(one, other)
          return true if one.lift.nil? || other.lift.nil?
          return false unless one.lift == other.lift

          one.axle.nil? || other.axle.nil? || [one.axle, one.side] == [other.axle, other.side]
        end

        private

        def of(placed)
          @places[placed] ||= Places.new(
            requires: places(placed.step.requires, placed),
            forbids: places(placed.step.forbids, placed, every: true),
            gives: places(placed.step.gives, placed),
            takes: places(placed.step.takes, placed)
          )
        end

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
          Fault.new(placed:, kind:, about:, where: where.empty? ? nil : where.join(" "))
        end

        def needs_missing(placed, seen, all)
          placed.step.needs.flat_map do |id|
            here = all.fetch(id, []).select { |other| concerns?(other, placed) }
            here
              .reject { |other| seen.key?(other) }
              .map { |other| fault(placed, "needs", id, *[other.axle, other.side].compact) }
          end
        end

        # Facts at the places a step speaks of: [[fact], [fact, lift], [fact, axle, side], ...]. A step done once for
        # several corners speaks of those it applies to; what it forbids (every: true), it forbids at all of them.
        def places(facts, placed, every: false)
          facts.flat_map do |fact|
            case @facts.fetch(fact).of
            when "job"
              [[fact]]
            when "lift"
              lifts_of(placed, every).map { |lift| [fact, lift] }
            else
              corners_of(placed, every).map { |corner| [fact, *corner] }
            end
          end
        end

        def lifts_of(placed, every)
          return [placed.lift] if placed.lift

          @corners
            .select { |_, corners| every || corners.any? { |corner| placed.step.applies?(corner.configuration) } }
            .keys
        end

        def corners_of(placed, every)
          return [[placed.axle, placed.side]] if placed.axle

          mine = placed.lift ? @corners.fetch(placed.lift) : @corners.values.flatten(1)
          mine = mine.select { |corner| placed.step.applies?(corner.configuration) } unless every
          mine.map { |corner| [corner.axle, corner.side] }
        end
      end
    end
  end
end
