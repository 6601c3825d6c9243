# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Everything for the inspection form, in the owner's order: wheels, positions, earlier readings and expected
      # values, items to inspect, and those visible only with the wheel off.
      class InspectionForm
        ORDER = "inspection_order"
        # expected: { mean_mm:, sd_mm: } or nil; before: [ReadingRow, Inspection] or nil
        Position =
          Core::Value.define(:id, :kind, :part, :side, :pad, :label, :method, :places, :new_mm, :expected, :before)
        # items: entries of conditions.yml; asks: brake data fields that are still unknown and can be seen here
        Wheel = Core::Value.define(:file, :side, :label, :positions, :items, :asks)
        Round = Core::Value.define(:vehicle, :order, :wheels, :last_inspection)

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # overview: VehicleOverviews::Overview of the vehicle -> Round
        def call(overview)
          order = order()
          present = overview.axles.flat_map { |axle| axle.file.axle.sides.map { |side| [axle.file.axle.name, side] } }
          axles = overview.axles.to_h { |axle| [axle.file.axle.name, axle] }
          wheels = walk(order).corners(present).map { |name, side| wheel(axles.fetch(name), side, order) }
          Round.new(
            vehicle: overview.vehicle,
            order:,
            wheels: once_per_axle(wheels),
            last_inspection: overview.inspections.last
          )
        end

        # { start:, direction:, within: }: the owner's, else as the knowledge has it.
        def order
          {
            **@knowledge.inspection.fetch("order").transform_keys(&:to_sym),
            **(@context.store.preferences.all[ORDER] || {}).transform_keys(&:to_sym)
          }
        end

        # As two windows may change it.
        def versioned_fields = Base::VersionedFields.new(-> { order }, ->(_) { Message.of("changed.inspection_order") })

        # Raises InvalidEntry.
        def remember(given)
          chosen = order.merge(given.slice(:start, :direction, :within))
          walk(chosen)
          unknown = chosen.fetch(:within) - kinds.keys
          if unknown.any? || chosen[:within].empty?
            raise InvalidEntry.of("within", "unknown_choice", Message.of("faults.choose_some", choices: kinds.keys))
          end

          @context.store.transaction do
            @context.store.preferences.set(ORDER, chosen.merge(within: chosen[:within].uniq))
          end
        end

        private

        def kinds = @knowledge.inspection.fetch("positions")
        def walk(order) = Core::Measurement::InspectionOrder.new(**order.slice(:start, :direction, :within))

        def wheel(overview, side, order)
          file = overview.file
          positions =
            walk(order)
              .positions(kinds.keys.select { |kind| read?(kind, file, order) })
              .map { |kind| position(overview, side, kind) }
          Wheel.new(
            file:,
            side:,
            label: "#{file.axle.name.capitalize} #{side}",
            positions:,
            items: Household::LookedAt.items(@knowledge, file),
            asks: asks(file)
          )
        end

        # Only what there is on such a brake; of that, what is always read, and the rest as the owner likes.
        def read?(kind, file, order)
          content = kinds.fetch(kind)
          there = { "brakes" => file.place.fetch("brakes"), "parking_brakes" => file.parking_brake }
          return false unless there.all? { |name, is| content[name].nil? || content[name].include?(is) }

          content["always"] || order.fetch(:within).include?(kind)
        end

        def position(overview, side, kind)
          content = kinds.fetch(kind)
          part, pad = content.values_at("part", "pad")
          file = overview.file
          component = [side, pad].compact.join("_")
          believed = { "pad" => overview.answer.pads, "rotor" => overview.answer.rotors }[part]
          Position.new(
            id: "#{file.axle.id}_#{side}_#{kind}",
            kind:,
            part:,
            side:,
            pad:,
            label: file.wording.own(content["label"]),
            method: method(file, kind, side),
            places: content["places"],
            new_mm: file.part(part).new_mm,
            expected: believed&.readings&.positive? ? believed.now[component] : nil,
            before: file.newest_row(part, side, pad)
          )
        end

        # The way this position was read last, as people keep to their tools.
        def method(file, kind, side)
          content = kinds.fetch(kind)
          row, = file.newest_row(content["part"], side, content["pad"])
          row&.method || content["method"]
        end

        def asks(file)
          @knowledge.brake_data.applying(file.place).select { |field| field.at_wheel && !file.data.key?(field.key) }
        end

        # The same question is not asked on both sides.
        def once_per_axle(wheels)
          asked = []
          wheels.map do |wheel|
            fresh = asked.include?(wheel.file.axle.id) ? [] : wheel.asks
            asked << wheel.file.axle.id
            wheel.with(asks: fresh)
          end
        end
      end
    end
  end
end
