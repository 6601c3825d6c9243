# frozen_string_literal: true

require_relative "../value"
require_relative "conditions"

module Graver
  module Core
    module Planning
      # One step of a job. `needs` are ids of steps that come first where they apply. Facts: what the step requires and
      # forbids when it begins, gives and takes away when it is done. `conditions` and `exceptions` limit where it applies.
      # `fasteners` are undone here, `tighten` are tightened to torque here. `does` are hazards. A gate can never be left out;
      # one that `kills` can never be answered by "I did it otherwise" either.
      Step = Value.define(:id, :stage, :text, :why, :needs, :requires, :forbids, :gives, :takes, :conditions, :exceptions,
                          :fasteners, :tighten, :tools, :consumables, :cautions, :gate, :kills, :does) do
        # A step its owner wrote.
        def self.own(id:, stage:, text:)
          lists = %i[needs requires forbids gives takes fasteners tighten tools consumables cautions does].to_h { |key| [key, []] }
          new(id:, stage:, text:, why: nil, conditions: {}, exceptions: {}, gate: false, kills: false, **lists)
        end

        # configuration as in Conditions.met?
        def applies?(configuration)
          Conditions.met?(conditions, configuration) && (exceptions.empty? || !Conditions.met?(exceptions, configuration))
        end
      end

      # of: "job", "lift" or "corner"; optional: not asked for where no step of the job gives it.
      Fact = Value.define(:id, :of, :label, :optional)
      # What can kill: facts it requires and forbids, whatever else a step says, and words that show a step of that kind.
      Hazard = Value.define(:id, :label, :requires, :forbids, :words) do
        def shown_by?(text) = words.any? { |word| text.downcase.include?(word) }
      end

      # of: "job", "lift", "corner", "gathering" (all corners of a lift come up to it), "between" (two corners) or "bleeding"
      # (each corner in bleeding order)
      Stage = Value.define(:id, :label, :of)

      # stages: [Stage] in working order; steps: [Step]; facts: { id => Fact }; hazards: [Hazard].
      Procedure = Value.define(:id, :label, :stages, :steps, :facts, :hazards) do
        # The step, held to the hazards it names and to those its words show.
        def guarded(step)
          mine = hazards.select { |hazard| step.does.include?(hazard.id) || hazard.shown_by?(step.text) }
          step.with(requires: step.requires | mine.flat_map(&:requires), forbids: step.forbids | mine.flat_map(&:forbids))
        end

        def step(id) = steps.find { |step| step.id == id }
        def stage(id) = stages.find { |stage| stage.id == id }
      end
    end
  end
end
