# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Planning
      # One step of a job. `needs` are ids of steps that must come first; `conditions` limit where it applies:
      # { "calipers" => [...], "axles" => [...], "sensors" => true }, empty for everywhere.
      # `fasteners` are undone here, `tighten` are tightened to torque here. A gate can never be left out.
      Step = Value.define(:id, :stage, :text, :why, :needs, :conditions, :fasteners, :tighten, :tools, :consumables, :cautions, :gate) do
        # configuration: { "vehicles" => "car", "axles" => "front", "calipers" => ..., "parking_brakes" => ..., "sensors" => bool }
        def applies?(configuration)
          conditions.all? do |key, wanted|
            wanted.is_a?(Array) ? wanted.include?(configuration[key]) : wanted == configuration[key]
          end
        end
      end

      # A job's steps and its stages in order: { "ready" => "Before anything is undone", ... }.
      Procedure = Value.define(:id, :label, :stages, :steps) do
        def step(id) = steps.find { |step| step.id == id }
      end
    end
  end
end
