# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Where the facts of a placed step hold: [[fact], [fact, lift], [fact, axle, side], ...].
      class FactPlaces
        # The facts of one step, with their places.
        Places = Value.define(:requires, :forbids, :adds, :removes)

        # procedure: Procedure; lifts: [Lift]
        def initialize(procedure, lifts)
          @facts = procedure.facts
          @corners = lifts.to_h { |lift| [lift.name, lift.corners] }
          @places = {}.compare_by_identity
        end

        # PlannedStep -> Places
        def of(placed)
          @places[placed] ||= Places.new(
            requires: places(placed.step.requires, placed),
            forbids: places(placed.step.forbids, placed, every: true),
            adds: places(placed.step.adds, placed),
            removes: places(placed.step.removes, placed)
          )
        end

        # Applies a step's facts. holds: { place => true }, changed in place
        def apply(placed, holds)
          of(placed).adds.each { |place| holds[place] = true }
          of(placed).removes.each { |place| holds.delete(place) }
        end

        private

        # A shared step concerns the corners it applies to; what it forbids (every: true), it forbids at all of them.
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

          mine = placed.lift ? @corners.fetch(placed.lift, []) : @corners.values.flatten(1)
          mine = mine.select { |corner| placed.step.applies?(corner.configuration) } unless every
          mine.map { |corner| [corner.axle, corner.side] }
        end
      end
    end
  end
end
