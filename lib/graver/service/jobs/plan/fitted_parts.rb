# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The pads and rotors a job fits or machines.
      class FittedParts
        # event: "fit" or "resurfaced"; part: "pad" or "rotor"; value, unit: as measured in the job, else of the part
        # bought, else of the brake data, or nil; method: it was measured by, or nil
        Fit = Core::Value.define(:file, :part, :event, :sides, :label, :value, :unit, :method)
        FITS = { "pads" => %w[pad fit], "rotors_new" => %w[rotor fit], "rotors_turn" => %w[rotor resurfaced] }.freeze
        LABELS = {
          %w[pad fit] => "jobs.fit_pad",
          %w[rotor fit] => "jobs.fit_rotor",
          %w[rotor resurfaced] => "jobs.fit_machined"
        }.freeze

        # JobPlan::Plan -> [Fit]
        def self.of(plan) = new(plan).call

        def initialize(plan)
          @plan = plan
        end

        # -> [Fit]
        def call
          @plan.scope.included.flat_map do |axle|
            FITS.slice(*axle.works).map { |work, (part, event)| fit(axle, work, part, event) }
          end
        end

        private

        def fit(axle, work, part, event)
          value, unit, method = (thickness(axle, work, part) if event == "fit") || [nil, "mm"]
          Fit.new(
            file: axle.file,
            part:,
            event:,
            sides: axle.file.axle.sides,
            label: Message.of(LABELS.fetch([part, event])),
            value:,
            unit:,
            method:
          )
        end

        # -> [value, unit, method or nil] or nil
        def thickness(axle, work, part)
          datum = axle.file.data["#{part}.new_thickness"]
          measured(axle, part) || bought(axle, work) || (datum && [datum.value, datum.unit])
        end

        # As it was measured in the job.
        def measured(axle, part)
          new_parts = @plan.job ? @plan.job.new_parts : {}
          new_parts["#{axle.file.axle.id}.#{part}"]&.values_at("value", "unit", "method")
        end

        def bought(axle, work)
          supply =
            @plan
              .parts
              .find do |part|
                part.line.axle == axle.name && part.line.id == { "pads" => "pads", "rotors_new" => "rotor" }[work]
              end
              &.chosen
          supply&.thickness && [supply.thickness, supply.unit || "mm"]
        end
      end
    end
  end
end
