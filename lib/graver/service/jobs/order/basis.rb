# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The fixed basis of a job in progress: the brake and the approaches when it began, the order of its steps, and
      # the state of the brake then. Changes elsewhere do not reach it; only planning the job again does.
      class Basis
        PlannedStep = Core::Planning::PlannedStep
        # What older jobs don't say, as there was nothing else.
        BEFORE = { "brakes" => "disc", "hydraulics" => "fluid" }.freeze

        # The basis as stored with the job. setups: [Lifts::Setup]; lifts: [Lift]; placed: [PlannedStep], before the
        # owner's changes; bleed: as in Steps::Ordered; held: [place]; done: [step key]; road: whether the vehicle is
        # driven at the end -> Hash
        def self.entry(setups:, lifts:, placed:, bleed:, held:, done:, road: true)
          {
            "setups" => setups.map { |setup| setup.to_h.transform_keys(&:to_s) },
            "lifts" =>
              lifts.map do |lift|
                {
                  "name" => lift.name,
                  "corners" => lift.corners.map { |corner| corner.to_h.transform_keys(&:to_s) },
                  "bleeding" => lift.bleeding.map { |corner| [corner.axle, corner.side] }
                }
              end,
            "order" => placed.map { |each| [each.step.id, each.lift, each.axle, each.side, each.step.late?] },
            "bleed" => bleed&.transform_keys(&:to_s),
            "held" => held,
            "done" => done,
            "road" => road
          }
        end

        # kept: Hash of a job, with its "event"
        def initialize(knowledge, kept)
          @knowledge = knowledge
          @kept = kept
        end

        # -> [place] that held when it was kept
        def held = @kept.fetch("held")
        # -> keys of the steps done by then
        def done = @kept.fetch("done")
        # -> as Steps::Ordered#bleed, or nil
        def bleed = @kept["bleed"]&.transform_keys(&:to_sym)

        # -> [Core::Planning::Lifts::Setup]
        def setups
          @setups ||= @kept.fetch("setups").map { |setup| Core::Planning::Lifts::Setup.new(**symbols(setup)) }
        end

        # -> [Core::Planning::Lift]
        def lifts
          @lifts ||=
            @kept
              .fetch("lifts")
              .map do |lift|
                corners = lift.fetch("corners").map { |corner| Core::Planning::Corner.new(**symbols(corner)) }
                bleeding = lift.fetch("bleeding").map { |place| corner(corners, *place) }
                Core::Planning::Lift.new(name: lift.fetch("name"), corners:, bleeding:)
              end
        end

        # [PlannedStep] in the planned order, with the texts of the approaches chosen then. A step no longer in the
        # knowledge is left out.
        def placed
          @placed ||=
            @kept
              .fetch("order")
              .filter_map do |id, lift, axle, side, late|
                step = @knowledge.procedure.step(id) or next
                step = @knowledge.sequence.tell(step, corner_of(lift, axle, side, step))
                PlannedStep.new(step: late ? step.made_late : step, lift:, axle:, side:)
              end
        end

        private

        def symbols(given)
          symbols = given.transform_keys(&:to_sym)
          symbols.merge(configuration: { **BEFORE, **symbols.fetch(:configuration) })
        end

        def corner(corners, axle, side) = corners.find { |each| [each.axle, each.side] == [axle, side] }

        # A shared step has the text of the first of its corners.
        def corner_of(lift, axle, side, step)
          mine = lifts.select { |each| lift.nil? || each.name == lift }.flat_map(&:corners)
          return corner(mine, axle, side) if axle

          mine.find { |each| step.applies?(each.configuration) } || mine.first
        end
      end
    end
  end
end
