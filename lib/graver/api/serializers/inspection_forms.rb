# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Everything the inspection form needs, in the owner's order.
      class InspectionForms
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # round: Service::InspectionForm::Round; instruments: [Storage::Instrument]
        def call(round, today, instruments)
          {
            vehicle: round.vehicle.to_h.slice(:id, :name, :kind, :distance_unit, :sample),
            today: today.iso8601,
            order: {
              **round.order,
              revision: Service::Base::Revision.of(round.order)
            },
            orders: orders,
            last:
              round.last_inspection &&
                {
                  date: round.last_inspection.date.iso8601,
                  odometer_value: round.last_inspection.odometer_value,
                  odometer_unit: round.last_inspection.odometer_unit
                },
            wheels: round.wheels.map { |wheel| wheel(wheel) },
            items: items(@knowledge.wheel_items),
            vehicle_items: items(@knowledge.vehicle_items.filter_map { |item| item.on(round.vehicle.kind) }),
            figures: figures(round.vehicle),
            methods: Catalogue.new(@knowledge).methods,
            events: events,
            instruments: instruments.reject(&:retired).map { |instrument| Instruments.brief(instrument) },
            photo: PhotoMeasured.rules(@knowledge.measurement.fetch("photo")),
            usual: usual
          }
        end

        private

        def orders
          content = @knowledge.inspection
          {
            corners: choices(content["corners"]),
            directions: choices(content["directions"]),
            positions: choices(content["positions"].transform_values { |position| position["label"] })
          }
        end

        def choices(labels) = labels.map { |id, label| { id:, label: } }

        def wheel(wheel)
          {
            axle: wheel.file.axle.id,
            axle_name: wheel.file.axle.name,
            brakes: wheel.file.place.fetch("brakes"),
            side: wheel.side,
            label: wheel.label,
            positions: wheel.positions.map { |position| position(position) },
            items: wheel.items.map(&:id),
            asks: wheel.asks.map { |field| ask(field, wheel.file.vehicle.kind) }
          }
        end

        def position(position)
          row, inspection = position.before
          fields = position.to_h.slice(:id, :kind, :part, :side, :pad, :label, :method, :places)
          fields.merge(
            unit: row&.unit || "mm",
            instrument: row&.instrument_id,
            new_mm: position.new_mm&.round(3),
            expected_mm: expected(position, :mean_mm),
            expected_sd_mm: expected(position, :sd_mm),
            before:
              row &&
                {
                  text: [row.value, row.upper && "to #{row.upper}", row.unit].compact.join(" "),
                  date: inspection.date.iso8601
                }
          )
        end

        def expected(position, figure) = position.expected && position.expected[figure].round(3)

        def ask(field, kind)
          {
            **field.to_h.slice(:key, :label, :find, :waits),
            choices: choices(@knowledge.brake_data.choices(field, kind)),
            units: @knowledge.brake_data.units(field),
            source: source(field)
          }
        end

        # A rotor's figures are stamped on it; anything else is measured or seen.
        def source(field) = field.group == "rotors" && field.quantity == "length" ? "cast" : "measured"

        def items(items)
          items.map do |item|
            { id: item.id, label: item.label, faces: item.faces.compact, marks: Marks.call(item.marks) }
          end
        end

        def figures(vehicle)
          @knowledge
            .condition_figures
            .reject { |figure| figure.spoken || figure.in_job }
            .select { |figure| figure.vehicles.nil? || figure.vehicles.include?(vehicle.kind) }
            .map do |figure|
              { **figure.to_h.slice(:id, :label, :hint), unit: figure.unit_beside(vehicle.distance_unit) }
            end
        end

        def events
          @knowledge.measurement.fetch("tabs").map { |id, tab| { id:, label: tab["label"], key: tab["key"] } }
        end
        def usual
          @knowledge
            .measurement
            .fetch("usual_limits")
            .map { |id, limit| { id:, value: limit["value"] || limit["most"], label: limit["label"] } }
        end
      end
    end
  end
end
