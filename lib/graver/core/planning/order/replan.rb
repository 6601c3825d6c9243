# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Plans a job in progress again, from the state of the brake to a roadworthy one. Whatever the owner wants now,
      # the steps that refit what is apart stay; undone steps are done again.
      class Replan
        # lifts: [Lift]; placed: [PlannedStep] in order, those done too; done: keys of those that still count
        Result = Value.define(:lifts, :placed, :done)

        # road: false if the vehicle is put together but must not be driven: the first stops are left out.
        def initialize(procedure, sequence, lifts, road: true)
          @procedure = procedure
          @sequence = sequence
          @lifts = lifts
          @road = road
          @kept = KeptConfiguration.new(procedure.facts)
        end

        # setups: [Lifts::Setup] as wanted now; before: [Lift] it was worked by; held: [place] that hold; done: keys of
        # what is done -> Result. Raises ReplanWalk::Impossible.
        def call(setups, before, held, done)
          @begun = begun(before, held, done)
          wanted = @lifts.call(with_what_is_apart(setups, held), begun: @begun)
          result = walk(wanted, held, done)
          in_the_air = wanted.select { |lift| up?(lift, held) }
          return result if in_the_air.empty? || !goes_up_first?(result, in_the_air.map(&:name))

          walk(in_the_air + (wanted - in_the_air), held, done)
        end

        private

        def walk(wanted, held, done)
          kept = wanted.map { |lift| keep(lift, held) }
          placed = road(@sequence.call(kept, restoring: true))
          asked = road(@sequence.call(wanted)).map(&:key)
          placed, done = ReplanWalk.new(@procedure, kept, placed, held, apart: method(:apart?)).call(asked, done)
          Result.new(lifts: kept, placed:, done:)
        end

        # Whatever is in the air comes down before anything else goes up: whether work at another lift comes before it.
        def goes_up_first?(result, names)
          first = result.placed.find { |placed| placed.lift && !result.done.include?(placed.key) }
          first && !names.include?(first.lift)
        end

        def up?(lift, held) = lift.corners.any? { |corner| apart_at(corner, lift, held).any? }

        def apart?(place) = @procedure.facts[place.first].apart && (@road || place.first != BrakeState::UNTRIED)
        def road(placed) = @road ? placed : placed.reject { |each| each.step.does.include?("drives") }

        # Lifts with work done on them stay as they are.
        def begun(before, held, done)
          before.select do |lift|
            axles = lift.corners.map(&:axle).uniq
            held.any? { |place| place[1] == lift.name || (place.length == 3 && axles.include?(place[1])) } ||
              done.any? { |key| key.start_with?(*[lift.name, *axles].map { |name| "#{name}." }) }
          end
        end

        # An axle with no work left stays until it, or its lift, is together.
        def with_what_is_apart(setups, held)
          gone =
            @begun.flat_map do |lift|
              lift
                .corners
                .reject { |corner| setups.any? { |setup| setup.axle == corner.axle } }
                .group_by(&:axle)
                .to_a
                .select { |_, corners| corners.any? { |corner| apart_at(corner, lift, held).any? } }
            end
          setups + gone.map { |axle, corners| nothing_wanted(axle, corners) }
        end

        def nothing_wanted(axle, corners)
          Lifts::Setup.new(
            axle:,
            sides: corners.map(&:side),
            configuration: corners.first.configuration.except("lifts", "sensors").merge("work" => []),
            sensors: corners.select { |corner| corner.configuration["sensors"] }.map(&:side)
          )
        end

        def apart_at(corner, lift, held)
          held.select { |place| here?(place, corner, lift) && apart?(place) }.map(&:first)
        end

        def here?(place, corner, lift)
          place.length == 3 ? place.drop(1) == [corner.axle, corner.side] : place[1] == lift.name
        end

        # The lift with each corner's configuration kept where it is apart.
        def keep(lift, held)
          corners = lift.corners.map { |corner| kept_corner(corner, lift, held) }
          bleeding = @lifts.bleeding(corners)
          lift.with(corners:, bleeding:)
        end

        def kept_corner(corner, lift, held)
          planned = @begun.flat_map(&:corners).find { |each| [each.axle, each.side] == [corner.axle, corner.side] }
          return corner unless planned

          found = apart_at(corner, lift, held)
          corner.with(configuration: @kept.call(corner.configuration, planned.configuration, found))
        end
      end
    end
  end
end
