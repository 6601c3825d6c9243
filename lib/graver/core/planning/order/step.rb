# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # One step of a job. late: how to do it where it is needed only once what it forbids is there already, or nil.
      # `needs` are ids of steps that come first where they apply. Facts: the step requires and forbids them when it
      # begins, adds and removes them when it is done. `conditions` and `exceptions` limit where it applies. counts:
      # StepCount, or nil; timer: StepTimer, or nil; asks: StepQuestion, or nil; reads: what to measure there; shows:
      # ids of steps whose photos are shown again there; tells: values on file the step needs; acts: what a scan tool
      # does there, or nil; step_group: the group of neighbouring steps done in one go. `fasteners` are undone here,
      # `tighten` are tightened to torque here. `does` are hazards. A mandatory step can never be left out; a
      # `safety_critical` one can't be answered by "done another way" either. One that `restores` is only in a plan that
      # was changed while the brake was apart. One that `beds_in` is coached at the car; an `own` one is its owner's.
      Step =
        Value.define(
          :id,
          :stage,
          :text,
          :late,
          :why,
          :step_group,
          :counts,
          :timer,
          :acts,
          :asks,
          :reads,
          :shows,
          :tells,
          :needs,
          :requires,
          :forbids,
          :adds,
          :removes,
          :conditions,
          :exceptions,
          :fasteners,
          :tighten,
          :tools,
          :consumables,
          :cautions,
          :mandatory,
          :safety_critical,
          :restores,
          :beds_in,
          :own,
          :does
        ) do
          # Values of the job's fluid that a step may show, beside brake data.
          const_set :FLUID, %w[fluid.draw_off fluid.needed].freeze
          const_set :LISTS,
                    %i[needs requires forbids adds removes fasteners tighten tools consumables cautions does] +
                      %i[reads shows tells]

          # A step its owner wrote.
          def self.own(id:, stage:, text:)
            new(
              **members.to_h { |member| [member, nil] },
              **self::LISTS.to_h { |list| [list, []] },
              **%i[mandatory safety_critical restores beds_in].to_h { |flag| [flag, false] },
              conditions: {
              },
              exceptions: {
              },
              own: true,
              id:,
              stage:,
              text:
            )
          end

          # The step as it is done after its usual moment has passed.
          def made_late = with(text: late, forbids: [], step_group: nil)
          # Whether it is worded for after its usual moment.
          def late? = !late.nil? && text == late

          # configuration as in Conditions.met?
          def applies?(configuration)
            Conditions.met?(conditions, configuration) &&
              (exceptions.empty? || !Conditions.met?(exceptions, configuration))
          end
        end
    end
  end
end
