# frozen_string_literal: true

require_relative "procedure"

module Graver
  module Core
    module Planning
      # Puts the steps of a procedure in order for one configuration, so that no step comes before what it needs.
      class Sequence
        # Stages done at each corner in turn, and the stage put between one corner and the next.
        CORNER_STAGES = %w[strip clean rebuild].freeze
        BETWEEN_STAGE = "between"

        Placed = Value.define(:step, :side)

        # A need that leads back to itself, or to a step that is not there.
        class Impossible < ArgumentError; end

        def initialize(procedure)
          @procedure = procedure
          @by_id = procedure.steps.to_h { |step| [step.id, step] }
          @rank = procedure.steps.each_with_index.to_h { |step, at| [step.id, at] }
        end

        # configuration as in Step#applies?; sides ["left", "right"] in working order -> [Placed].
        # `sensors` in the configuration lists the sides that carry one.
        def call(configuration, sides)
          stages = @procedure.stages.keys
          before = stages.take_while { |stage| !CORNER_STAGES.include?(stage) }
          after = stages - before - CORNER_STAGES - [BETWEEN_STAGE]
          shared(before, configuration, sides) + corners(configuration, sides) + shared(after, configuration, sides)
        end

        # The steps of the procedure in an order that respects every need, whatever the configuration.
        # Raises Impossible naming the steps that wait for each other.
        def order
          @order ||= [].tap do |done|
            waiting = @procedure.steps.dup
            until waiting.empty?
              ready = waiting.select { |step| known_needs(step).all? { |need| done.include?(need) } }.min_by { |step| @rank[step.id] }
              raise Impossible, "steps wait for each other: #{waiting.map(&:id).join(", ")}" unless ready

              done << waiting.delete(ready)
            end
          end
        end

        private

        def known_needs(step)
          step.needs.map { |id| @by_id.fetch(id) { raise Impossible, "step #{step.id} needs #{id}, which is not there" } }
        end

        def shared(stages, configuration, sides)
          any_sensor = configuration.merge("sensors" => configuration["sensors"].intersect?(sides))
          in_stages(stages, any_sensor).map { |step| Placed.new(step:, side: nil) }
        end

        def corners(configuration, sides)
          sides.each_with_index.flat_map do |side, at|
            here = configuration.merge("sensors" => configuration["sensors"].include?(side))
            between = at < sides.length - 1 ? in_stages([BETWEEN_STAGE], here) : []
            in_stages(CORNER_STAGES, here).map { |step| Placed.new(step:, side:) } + between.map { |step| Placed.new(step:, side: nil) }
          end
        end

        def in_stages(stages, configuration)
          order.select { |step| stages.include?(step.stage) && step.applies?(configuration) }
        end
      end
    end
  end
end
