# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Proposals for an axle's gaps: usual values for its caliper, or values of another axle. The owner checks them and
      # saves them, or not.
      class BrakeDataProposals
        # entries: [{ key:, value:, unit:, source: }]; left_out: labels of known values that may not be copied
        Proposals = Core::Value.define(:entries, :left_out)

        def initialize(context)
          @context = context
          @catalogue = context.knowledge.brake_data
        end

        # Raises InvalidEntry without a caliper kind.
        def template(axle_id)
          file = find(axle_id)
          caliper = file.caliper && @context.knowledge.caliper(file.caliper)
          raise InvalidEntry.of("from", "no_caliper_kind", Message.of("faults.caliper_first")) unless caliper

          wanted = gaps(file)
          entries = caliper.template.select { |entry| wanted.include?(entry["key"]) }
          Proposals.new(
            entries:
              entries.map do |entry|
                { key: entry["key"], value: entry["value"], unit: entry["unit"], source: "typical" }
              end,
            left_out: []
          )
        end

        # A torque is never copied from another vehicle; the field (`copy`) says what may be.
        def copy(axle_id, from_id)
          file, other = find(axle_id), find(from_id)
          raise InvalidEntry.of("from", "same_axle", Message.of("faults.other_axle")) if file.axle.id == other.axle.id

          known = other.data.values.select { |datum| gaps(file).include?(datum.key) }
          allowed, left = known.partition { |datum| allowed?(@catalogue.field(datum.key), file, other) }
          Proposals.new(
            entries: allowed.map { |datum| { key: datum.key, value: datum.value, unit: datum.unit, source: "copied" } },
            left_out: left.map { |datum| @catalogue.field(datum.key)["label"] }
          )
        end

        private

        def find(axle_id) = Household::AxleRecords.new(@context).find(axle_id)

        # Everything that could be known here and is not; with the caliper kind still open, of any kind.
        def gaps(file)
          fields = file.caliper ? @catalogue.applying(file.place) : @catalogue.fields
          fields.map(&:key) - file.data.keys
        end

        def allowed?(field, file, other)
          case field.copy
          when "any"
            true
          when "never"
            false
          else
            same_build?(field, file, other)
          end
        end

        # Sizes belong to the model: they are taken over from a vehicle of the same kind, for the same axle, and
        # marked so.
        def same_build?(field, file, other)
          return file.vehicle.id == other.vehicle.id if field.copy == "vehicle"

          file.vehicle.kind == other.vehicle.kind && file.axle.name == other.axle.name
        end
      end
    end
  end
end
