# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A job's corners, and at each step what is off there, what the step is about, and what it moves.
      class JobDrawing
        # Stages in which what is renewed is on already.
        FITTED = %w[rebuild].freeze
        # corners: { "front.left" => Household::CornerDrawing::Drawn }, with what is renewed as "front.left.new";
        # steps: [Step]
        All = Core::Value.define(:corners, :steps)
        # corner: key of one of the corners; off, out, in, hidden, of: ids of parts: off their place before it, moved
        # out or in by it, not drawn, and what it is about
        Step = Core::Value.define(:key, :corner, :off, :out, :in, :hidden, :of)

        def initialize(knowledge)
          @knowledge = knowledge
          @corners = Household::CornerDrawing.new(knowledge)
        end

        # JobPlan::Plan -> All
        def call(plan)
          ordered = plan.ordered
          @axles = plan.overview.axles.to_h { |axle| [axle.file.axle.name, axle] }
          @drawn = drawn(ordered.lifts)
          All.new(corners: @drawn, steps: steps(ordered, plan.job&.basis))
        end

        private

        def drawn(lifts)
          lifts
            .flat_map(&:corners)
            .each_with_object({}) do |corner, found|
              draw = ->(renewed) { draw(corner, renewed) }
              found[key(corner)] = draw[[]]
              found["#{key(corner)}.new"] = draw[renewed(corner)] if renewed(corner).any?
            end
        end

        def draw(corner, renewed)
          axle = @axles.fetch(corner.axle)
          side = corner.side == "both" ? axle.file.axle.sides.first : corner.side
          marks = Overview::RotorMarks.call(axle, side)
          @corners.call(axle.file, side, configuration: corner.configuration, renewed:, marks:)
        end

        def key(corner) = [corner.axle, corner.side].join(".")

        def renewed(corner)
          works = @knowledge.works.select { |work| corner.configuration["work"].include?(work.id) }
          [
            ("pad" if works.any? { |work| work.renews == "friction" }),
            ("rotor" if works.any? { |work| work.rotors == "new" })
          ].compact
        end

        def steps(ordered, basis)
          places = Core::Planning::FactPlaces.new(@knowledge.procedure, ordered.lifts)
          done = basis ? basis.fetch("done") : []
          state = Core::Planning::BrakeState.new(@knowledge.procedure, basis ? basis.fetch("held") : [])
          fitted = Set.new
          (ordered.placed || []).filter_map do |placed|
            before = state
            state = state.after(places.of(placed)) unless done.include?(placed.key)
            corner = corner_of(placed, ordered.lifts) or next
            fitted << key(corner) if FITTED.include?(placed.step.stage)
            step(placed, corner, before, state, fitted)
          end
        end

        # A step for a whole lift is shown at its first corner.
        def corner_of(placed, lifts)
          return if placed.step.own

          lift = lifts.find { |each| each.name == placed.lift } || (lifts.first unless placed.lift)
          mine =
            lift.corners.select do |corner|
              placed.axle.nil? || [placed.axle, placed.side] == [corner.axle, corner.side]
            end
          mine.find { |corner| placed.step.applies?(corner.configuration) }
        end

        def step(placed, corner, before, after, fitted)
          key = fitted.include?(key(corner)) && @drawn.key?("#{key(corner)}.new") ? "#{key(corner)}.new" : key(corner)
          kinds = @drawn.fetch(key).parts.map(&:kind)
          facts = [before, after].map { |state| facts(state, corner) }
          of = kinds.select { |kind| kind.of?(placed.step) && facts.any? { |each| kind.drawn?(each) } }
          return if of.empty?

          Step.new(key: placed.key, corner: key, of: of.map(&:id), **moved(kinds, *facts, in_the_way(kinds, of)))
        end

        # The wheel, where the step isn't about it: it would hide the brake.
        def in_the_way(kinds, of) = of.any?(&:gone) ? [] : kinds.select(&:gone)

        def moved(kinds, before, after, in_the_way)
          ids = ->(kinds_) { kinds_.map(&:id) }
          off, on = kinds.partition { |kind| kind.off?(before) }
          {
            off: ids[off],
            out: ids[on.select { |kind| kind.off?(after) }],
            in: ids[off.reject { |kind| kind.off?(after) }],
            hidden: ids[kinds.reject { |kind| kind.drawn?(before) || kind.drawn?(after) } | in_the_way]
          }
        end

        # Those that hold at a corner: its own, its lift's, the job's.
        def facts(state, corner)
          lift = corner.configuration["lifts"]
          state.to_a.filter_map { |fact, *place| fact if [[], [lift], [corner.axle, corner.side]].include?(place) }
        end
      end
    end
  end
end
