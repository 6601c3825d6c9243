# frozen_string_literal: true

require_relative "axles"
require_relative "torque_doubt"
require_relative "../../core/planning/torque"

module Graver
  module API
    module Serializers
      # Every field that exists on an axle, what is known of it, and what a gap costs.
      class BrakeData
        def initialize(knowledge, history)
          @knowledge = knowledge
          @catalogue = knowledge.brake_data
          @history = history
        end

        def call(file)
          fields = @catalogue.applying(vehicle_kind: file.vehicle.kind, axle: file.axle.name, caliper: file.caliper)
          { axle: Axles.new(@knowledge).name(file), groups: choices(@catalogue.groups), sources: choices(@catalogue.sources),
            fields: fields.map { |field| field(file, field) } }
        end

        private

        def choices(labels) = labels.map { |id, label| { id:, label: } }

        def field(file, field)
          datum = file.data[field["key"]]
          { key: field["key"], group: field["group"], label: field["label"], quantity: field["quantity"], units: @catalogue.units(field),
            choices: choices(@catalogue.choices(field, file.vehicle.kind)), value: datum&.value, unit: datum&.unit, source: datum&.source,
            waits: field["waits"], find: field["find"], needed_for_job: field["needed_for"].include?("job"), doubt: doubt(file, field, datum),
            earlier: earlier(file, field) }
        end

        def doubt(file, field, datum)
          return unless datum && field["quantity"] == "torque"

          plausible = @knowledge.fastener(field["fastener"]).fetch("plausible_newton_metres")
          torque = Core::Planning::Torque.from(file.number(field["key"]), datum.unit)
          TorqueDoubt.sentence(torque, torque.doubt(*plausible), plausible)
        end

        def earlier(file, field)
          @history.call(file.axle.id, field["key"])[0...-1].map { |entry| "#{[entry.value || "unknown", entry.unit].compact.join(" ")} (#{entry.recorded_at[0, 10]})" }
        end
      end
    end
  end
end
