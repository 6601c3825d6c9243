# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The pads, shoes, rotors and drums a job fits or machines.
      class FittedParts
        # event: "fit" or "resurfaced"; part: "pad", "rotor" or "drum"; value, unit: as measured in the job, else of the
        # part bought, else of the brake data, or nil; method: it was measured by, or nil
        Fit = Core::Value.define(:file, :part, :event, :sides, :label, :value, :unit, :method)
        FITS = {
          "pads" => %w[pad fit],
          "rotors_new" => %w[rotor fit],
          "rotors_turn" => %w[rotor resurfaced],
          "brake_shoes" => %w[pad fit],
          "drums_new" => %w[drum fit],
          "drums_turn" => %w[drum resurfaced]
        }.freeze
        LABELS = {
          "pads" => "jobs.fit_pad",
          "rotors_new" => "jobs.fit_rotor",
          "rotors_turn" => "jobs.fit_machined",
          "brake_shoes" => "jobs.fit_brake_shoe",
          "drums_new" => "jobs.fit_drum",
          "drums_turn" => "jobs.fit_machined_drum"
        }.freeze
        # What is bought for them.
        BOUGHT = {
          "pads" => "pads",
          "rotors_new" => "rotor",
          "brake_shoes" => "brake_shoes",
          "drums_new" => "drum"
        }.freeze

        # JobPlan::Plan -> [Fit]
        def self.of(plan) = new(plan).call

        # AxleRecord, part -> key of its size when new, in the brake data
        def self.new_size(file, part)
          return "drum.new_diameter" if part == "drum"

          part == "pad" ? file.brake_kind.key("new_thickness") : "rotor.new_thickness"
        end

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
            label: Message.of(LABELS.fetch(work)),
            value:,
            unit:,
            method:
          )
        end

        # -> [value, unit, method or nil] or nil
        def thickness(axle, work, part)
          datum = axle.file.data[self.class.new_size(axle.file, part)]
          measured(axle, part) || bought(axle, work) || (datum && [datum.value, datum.unit])
        end

        # As it was measured in the job.
        def measured(axle, part)
          new_parts = @plan.job ? @plan.job.new_parts : {}
          new_parts["#{axle.file.axle.id}.#{part}"]&.values_at("value", "unit", "method")
        end

        def bought(axle, work)
          supply = @plan.parts.find { |part| part.line.axle == axle.name && part.line.id == BOUGHT[work] }&.chosen
          size = work == "drums_new" ? supply&.diameter : supply&.thickness
          size && [size, supply.unit || "mm"]
        end
      end
    end
  end
end
