# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Walks the rest of a plan from the state of the brake, and mends it where a step's needs are not met: adds a step
      # that meets them, repeats one that was undone, and does a missed step in another way or leaves it out. At the end
      # nothing may be apart.
      class ReplanWalk
        # What can't be planned from here. placed: the step that can't be done; kind: "requires", "forbids" or "apart";
        # about: id of the fact; where: "front left" or nil
        class Impossible < StandardError
          attr_reader :placed, :kind, :about, :where

          def initialize(placed, kind, place)
            @placed, @kind, @about = placed, kind, place.first
            @where = place.length > 1 ? place.drop(1).join(" ") : nil
            super("#{placed&.key} #{kind} #{place.join(" ")}")
          end
        end

        # Stages whose steps are not repeated if their result is still there.
        OPENING = %w[safe strip].freeze

        # placed: [PlannedStep] of everything that may be needed, in order; held: [place]; apart: callable (place) ->
        # whether it must not hold at the end
        def initialize(procedure, lifts, placed, held, apart:)
          @procedure = procedure
          @places = FactPlaces.new(procedure, lifts)
          @all = placed
          @held = held
          @apart = apart
          @rank = placed.each_with_index.to_h { |each, at| [each.key, at] }
          @given = placed.flat_map { |each| of(each).adds }.to_h { |place| [place, true] }
          @late = {}
        end

        # asked: keys of the steps wanted; done: keys of those done -> [[PlannedStep], [key]] steps left and keys done,
        # in order. Raises Impossible.
        def call(asked, done)
          @done = @rank.keys & done
          @chosen = (asked & @rank.keys).to_h { |key| [key, true] }
          leave_out_what_holds
          nil while mend
          kept = @all.select { |each| @chosen.key?(each.key) || @done.include?(each.key) }
          [kept.map { |each| @late.fetch(each.key, each) }, @done]
        end

        private

        def of(placed) = @places.of(placed)
        def left = @all.select { |each| @chosen.key?(each.key) && !@done.include?(each.key) }

        # Steps of making safe and taking apart whose result is there already.
        def leave_out_what_holds
          left.each do |each|
            adds = of(each).adds
            next unless OPENING.include?(each.step.stage) && adds.any? && adds.all? { |place| held?(place) }

            @chosen.delete(each.key)
          end
        end

        def held?(place) = @held.include?(place)

        # Walks to the first unmet need and mends it -> true, or nil when all needs are met.
        def mend
          holds = @held.to_h { |place| [place, true] }
          left.each do |each|
            each = @late.fetch(each.key, each)
            mended = mend_step(each, holds)
            return mended if mended

            @places.apply(each, holds)
          end
          loose = holds.keys.find(&@apart)
          loose && close(loose)
        end

        # nil if the step's needs are met
        def mend_step(placed, holds)
          missing = of(placed).requires.find { |place| !holds.key?(place) && asked_for?(place) }
          return give(missing, placed) if missing

          standing = of(placed).forbids.find { |place| holds.key?(place) }
          standing && take(standing, placed)
        end

        # An optional fact that no step adds is not required.
        def asked_for?(place) = @given.key?(place) || !@procedure.facts.fetch(place.first).optional

        def give(place, placed)
          again(place, placed, :adds) || add(place, placed, :adds) || raise(Impossible.new(placed, "requires", place))
        end

        def take(place, placed)
          add(place, placed, :removes) || again(place, placed, :removes) || late(placed) || moot(placed) ||
            raise(Impossible.new(placed, "forbids", place))
        end

        def close(place)
          add(place, nil, :removes) || again(place, nil, :removes) || raise(Impossible.new(nil, "apart", place))
        end

        # The nearest earlier step with this effect that is not in the plan.
        def add(place, placed, does)
          found = earlier(placed).reject { |each| @chosen.key?(each.key) || @done.include?(each.key) }
          step = found.reverse.find { |each| of(each)[does].include?(place) } or return
          @chosen[step.key] = true
        end

        # The nearest earlier step with this effect that was undone since.
        def again(place, placed, does)
          step = earlier(placed).reverse.find { |each| @done.include?(each.key) && of(each)[does].include?(place) }
          return unless step

          @done -= [step.key]
          @chosen[step.key] = true
        end

        def earlier(placed) = placed ? @all.take(@rank.fetch(placed.key)) : @all

        def late(placed)
          return if placed.step.late.nil? || placed.step.late?

          @late[placed.key] = placed.with(step: placed.step.made_late)
        end

        # A step whose moment has passed and that no step needs.
        def moot(placed)
          return if placed.step.mandatory || left.any? { |each| of(each).requires.intersect?(of(placed).adds) }

          @chosen.delete(placed.key)
          true
        end
      end
    end
  end
end
