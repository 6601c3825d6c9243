# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Instruments of the workshop, with what their zero checks say.
      class Instruments
        def self.brief(instrument) = instrument.to_h.slice(:id, :name, :method, :unit)

        # service: Service::Workshop::ZeroChecks
        def initialize(knowledge, service)
          @knowledge = knowledge
          @service = service
        end

        def call(instrument)
          fields = instrument.to_h.slice(:id, :name, :method, :unit, :least, :most, :resolution, :uncertainty, :retired)
          kind = @knowledge.measurement.fetch("methods").fetch(instrument.method)
          fields.merge(
            revision: Service::Base::Revision.of(Service::Workshop::VersionedTool.fields(instrument)),
            kind: kind["label"],
            usual_uncertainty_mm: kind["instrument"],
            checks: @service.judged(instrument).reverse.map { |judged| check(judged) },
            changes: @service.changes(instrument).map { |change| change(change) }
          )
        end

        private

        def check(judged)
          {
            id: judged.row.id,
            date: judged.row.date.iso8601,
            reference: judged.row.reference,
            read: judged.row.read,
            unit: judged.row.unit,
            good: judged.good,
            offset_mm: judged.check.offset_mm.round(4)
          }
        end

        def change(change)
          row = change.row
          {
            inspection: change.inspection.id,
            date: change.inspection.date.iso8601,
            position: [@service.vehicle_name(change), row.side, row.pad, Say::Texts.part(row.part)].compact.join(" "),
            from: change.from,
            to: change.to,
            unit: row.unit
          }
        end
      end
    end
  end
end
