# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # The owner's own parts, consumables and tools: enter, change, archive; what they cost and what is on the
      # shelf.
      class Supplies
        include Base::FieldErrors

        # Plausible bounds of money, counts, days and mm.
        PRICE = (0..100_000)
        AMOUNT = (0..100_000)
        LEAD_DAYS = (0..365)
        LENGTHS_MM = { thickness: 1..60, diameter: 100..500 }.freeze
        TEXTS = { name: 120, number: 60, supplier: 60 }.freeze

        def initialize(context)
          @context = context
          @store = context.store
        end

        # given: { kind:, item:, axle:, name:, number:, supplier:, price:, lead_days:, on_shelf:, compound:, thickness:,
        # diameter:, unit: }, texts or nil (axle an id, lead_days whole). Raises InvalidEntry, NotFound.
        def add(given)
          row = checked(given)
          @store.transaction { @store.supplies.add(row, at: @context.now) }
        end

        # Any of the same but kind, item and axle, and retired: true or false. Raises InvalidEntry, NotFound.
        def change(id, given)
          known = @store.supplies.find(id)
          row = checked({ **known.to_h, axle: known.axle_id }.merge(given.except(:retired)))
          row[:retired_at] = given[:retired] ? @context.now : nil if given.key?(:retired)
          @store.transaction { @store.supplies.change(id, row) }
        end

        # Of one part, consumable or tool; those of the axle and those for any.
        def of_item(kind, item, axle_id)
          all.select { |supply| supply.kind == kind && supply.item == item && [nil, axle_id].include?(supply.axle_id) }
        end

        # Every one in use, with what it is and where it belongs: [[supply, label, unit or nil, "Juniper,
        # front" or nil], ...]
        def shelf
          places =
            @store
              .vehicles
              .all
              .flat_map { |vehicle| vehicle.axles.map { |axle| [axle.id, "#{vehicle.name}, #{axle.name}"] } }
              .to_h
          all.map { |supply| [supply, *named(supply), places[supply.axle_id]] }
        end

        # -> Rational, or nil
        def price(supply) = supply.price && number(supply.price)
        # Pieces, or the consumable's unit.
        def amount(supply) = supply.on_shelf ? number(supply.on_shelf) : 0

        # { "thickness_mm" => 11.5 }, known sizes only.
        def details_mm(supply)
          LENGTHS_MM
            .keys
            .filter_map do |key|
              supply[key] && ["#{key}_mm", Core::Quantity::LENGTH.to_base(number(supply[key]), supply.unit || "mm")]
            end
            .to_h
        end

        private

        def all = @all ||= @store.supplies.of(@store.vehicles.all.flat_map { |vehicle| vehicle.axles.map(&:id) })

        # What one is in the trade's words; a fastener used once is named as such.
        def named(supply)
          entry = catalogue(supply.kind).find { |each| each.id == supply.item.split(".").first }
          fastener = supply.item.split(".")[1]
          [entry.label.sub("{fastener}", fastener.to_s.tr("_", " ")).sub(" ({pads} pads)", ""), measure(supply, entry)]
        end

        def measure(supply, entry) = supply.kind == "consumable" ? entry.unit : nil

        def catalogue(kind)
          {
            "part" => @context.knowledge.parts,
            "consumable" => @context.knowledge.consumables,
            "tool" => @context.knowledge.tools
          }[
            kind
          ]
        end
        def number(text) = Core::Quantity::EnteredNumber.parse(text).value
        def blank(text) = text.to_s.strip.empty? ? nil : text.to_s.strip

        def checked(given)
          @faults = []
          texts = TEXTS.to_h { |key, most| [key, text(key, given[key], most)] }
          fault("name", "missing", Message.of("faults.name")) unless texts[:name]
          check_item(given)
          figures = {
            price: figure(:price, given[:price], PRICE),
            on_shelf: figure(:on_shelf, given[:on_shelf], AMOUNT),
            lead_days: lead_days(given[:lead_days])
          }
          row = {
            **texts,
            **figures,
            kind: given[:kind],
            item: given[:item],
            axle_id: axle(given),
            compound: compound(given[:compound]),
            unit: unit(given[:unit])
          }
          row.update(LENGTHS_MM.to_h { |key, range| [key, length(key, given[key], row[:unit], range)] })
          raise_faults

          row
        end

        def text(key, value, most)
          fault(key.to_s, "too_long", Message.of("faults.too_long", most:)) if value.to_s.length > most
          blank(value)
        end

        def check_item(given)
          known = catalogue(given[:kind])
          unless known
            return fault("kind", "unknown_kind", Message.of("faults.choose", choices: %w[part consumable tool]))
          end

          item = given[:item].to_s.split(".").first
          return if known.any? { |entry| entry.id == item }
          fault("item", "unknown_item", Message.of("faults.unknown_kind_of", kind: given[:kind]))
        end

        def axle(given)
          return if given[:kind] != "part" || given[:axle].nil?

          @store.vehicles.find_axle(given[:axle]).id
        rescue NotFound
          fault("axle", "unknown_axle", Message.of("faults.no_axle"))
        end

        def figure(key, text, range)
          return unless blank(text)

          under(key.to_s) do
            if range.cover?(number(text))
              text.strip
            else
              fault(key.to_s, "out_of_range", Message.of("faults.between", least: range.min, most: range.max))
            end
          end
        end

        def length(key, text, unit, range)
          return unless blank(text)

          under(key.to_s) do
            if range.cover?(Core::Quantity::LENGTH.to_base(number(text), unit || "mm"))
              text.strip
            else
              fault(
                key.to_s,
                "out_of_range",
                Message.of("faults.between_check_unit", least: range.min, most: range.max, unit: "mm")
              )
            end
          end
        end

        def lead_days(days)
          return if days.nil?

          if LEAD_DAYS.cover?(days)
            days
          else
            fault(
              "lead_days",
              "out_of_range",
              Message.of("faults.between_unit", least: LEAD_DAYS.min, most: LEAD_DAYS.max, unit: "days")
            )
          end
        end

        def compound(id)
          return unless blank(id)

          if @context.knowledge.what_if.fetch("pads").key?(id)
            id
          else
            fault(
              "compound",
              "unknown_compound",
              Message.of("faults.choose", choices: @context.knowledge.what_if.fetch("pads").keys)
            )
          end
        end

        def unit(name)
          return unless blank(name)

          if Core::Quantity::LENGTH.include?(name)
            name
          else
            fault("unit", "unknown_unit", Message.of("faults.choose", choices: Core::Quantity::LENGTH.units))
          end
        end
      end
    end
  end
end
