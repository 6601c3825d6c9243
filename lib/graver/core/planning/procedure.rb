# frozen_string_literal: true

require_relative "../value"
require_relative "conditions"

module Graver
  module Core
    module Planning
      # One step of a job. `needs` are ids of steps that come first where they apply. Facts: what the step requires and
      # forbids when it begins, gives and takes away when it is done. `conditions` and `exceptions` limit where it applies.
      # `fasteners` are undone here, `tighten` are tightened to torque here. A gate can never be left out.
      Step = Value.define(:id, :stage, :text, :why, :needs, :requires, :forbids, :gives, :takes, :conditions, :exceptions,
                          :fasteners, :tighten, :tools, :consumables, :cautions, :gate) do
        # A step its owner wrote.
        def self.own(id:, stage:, text:)
          lists = %i[needs requires forbids gives takes fasteners tighten tools consumables cautions].to_h { |key| [key, []] }
          new(id:, stage:, text:, why: nil, conditions: {}, exceptions: {}, gate: false, **lists)
        end

        # configuration as in Conditions.met?
        def applies?(configuration)
          Conditions.met?(conditions, configuration) && (exceptions.empty? || !Conditions.met?(exceptions, configuration))
        end
      end

      # of: "job", "lift" or "corner"; optional: not asked for where no step of the job gives it.
      Fact = Value.define(:id, :of, :label, :optional)
      # of: "job", "lift", "corner", "between" (two corners) or "bleeding" (each corner in bleeding order)
      Stage = Value.define(:id, :label, :of)

      # stages: [Stage] in working order; steps: [Step]; facts: { id => Fact }.
      Procedure = Value.define(:id, :label, :stages, :steps, :facts) do
        def step(id) = steps.find { |step| step.id == id }
        def stage(id) = stages.find { |stage| stage.id == id }
      end
    end
  end
end
