# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # One step of a job. late: how it is done where it is only asked for when what it forbids is there already, or
      # nil. `needs` are ids of steps that come first where they apply. Facts: what the step requires and forbids when
      # it begins, gives and takes away when it is done. `conditions` and `exceptions` limit where it applies. counts:
      # StepCount of what is counted there, or nil; timer: StepTimer, or nil; asks: StepQuestion, or nil; reads: what is
      # measured there; shows: ids of steps whose photos are looked at again there; tells: what is on file that the step
      # goes by; acts: what a diagnostic unit does there, or nil; step_group: what it is one movement with, where that
      # stands beside it. `fasteners` are undone here, `tighten` are tightened to torque here. `does` are hazards. A
      # mandatory step can never be left out; one that is `safety_critical` can never be answered by "I did it
      # otherwise" either. One that `restores` is only in a plan that was changed while the brake was apart.
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
          :does
        ) do
          # What a step may tell of the job's fluid, beside brake data.
          const_set :FLUID, %w[fluid.draw_off fluid.needed].freeze
          const_set :LISTS,
                    %i[needs requires forbids adds removes fasteners tighten tools consumables cautions does] +
                      %i[reads shows tells]

          # A step its owner wrote.
          def self.own(id:, stage:, text:)
            new(
              **members.to_h { |member| [member, nil] },
              **self::LISTS.to_h { |list| [list, []] },
              **%i[mandatory safety_critical restores].to_h { |flag| [flag, false] },
              conditions: {
              },
              exceptions: {
              },
              id:,
              stage:,
              text:
            )
          end

          # The step as it is done after its usual moment has passed.
          def made_late = with(text: late, forbids: [], step_group: nil)
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
