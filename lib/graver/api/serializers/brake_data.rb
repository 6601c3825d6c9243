# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Every brake data field of an axle, its value, and what a gap costs.
      class BrakeData
        def initialize(knowledge)
          @knowledge = knowledge
          @catalogue = knowledge.brake_data
        end

        # Service::Household::BrakeDataSheet::Sheet
        def call(sheet)
          file = sheet.record
          fields = @catalogue.applying(file.place)
          @history = sheet.history
          {
            axle: Axles.new(@knowledge).name(file),
            revision: revision(sheet),
            groups: choices(@catalogue.groups.transform_values { |label| file.wording.own(label) }),
            sources: choices(@catalogue.sources),
            fields: fields.map { |field| { **field(file, field), **known(sheet, field) } },
            needs: needs(file, fields),
            others: others(sheet)
          }
        end

        private

        def revision(sheet)
          Service::Base::Revision.of(
            Service::Household::VersionedBrakeData.fields(@catalogue, sheet.record, sheet.looked_for)
          )
        end

        # What each gap holds up.
        def needs(file, fields)
          @catalogue.needs.filter_map do |id, label|
            mine = fields.select { |field| field.needed_for.include?(id) }
            next if mine.empty?

            known = mine.count { |field| file.data.key?(field.key) }
            { id:, label: file.wording.own(label), known:, of: mine.length }
          end
        end

        # Axles whose data could be copied.
        def others(sheet) = sheet.others.map { |vehicle, axle| { id: axle.id, label: "#{vehicle.name}, #{axle.name}" } }

        def choices(labels) = labels.map { |id, label| { id:, label: } }

        # Each kind of caliper with what a sketch of it shows.
        def choices_of(file, field)
          all = choices(@catalogue.choices(field, file.vehicle.kind))
          return possible(file, field, all) unless field.choices == "calipers"

          all.map { |choice| { **choice, drawn: @knowledge.caliper(choice[:id]).drawn } }
        end

        # Without what can't be on a brake of its kind; what was chosen stays.
        def possible(file, field, choices)
          name = @catalogue.place_of(field.key)
          return choices unless name && file.caliper

          choices.reject do |choice|
            file.choice(field.key) != choice[:id] &&
              @knowledge.scope_rules.impossible({ **file.place, name => choice[:id] })
          end
        end

        def field(file, field)
          datum = file.data[field.key]
          {
            key: field.key,
            first: first?(field, datum),
            group: field.group,
            label: field.label,
            quantity: field.quantity,
            units: @catalogue.units(field),
            choices: choices_of(file, field),
            value: datum&.value,
            unit: datum&.unit,
            source: datum&.source,
            hint: field.hint,
            fastener: field.fastener,
            waits: field.waits,
            find: field.find,
            needed_for: field.needed_for,
            doubt: doubt(field, datum),
            earlier: earlier(field),
            rivals: rivals(file, field, datum)
          }
        end

        def known(sheet, field)
          {
            looked_for: sheet.looked_for.include?(field.key),
            mm: field.quantity == "length" ? sheet.record.length_mm(field.key)&.to_f : nil
          }
        end

        # A known field, one that something waits for, one visible at the wheel, or a torque.
        def first?(field, datum)
          !datum.nil? || field.at_wheel || field.first || field.needed_for.any? || field.quantity == "torque"
        end

        def doubt(field, datum)
          return unless datum && field.quantity == "torque"

          plausible = @knowledge.fastener(field.fastener).plausible_newton_metres
          torque = Service::Household::TorqueData.torque(datum)
          TorqueDoubt.sentence(torque, torque.doubt(*plausible), plausible)
        end

        # The values of several sources, the one that counts first; empty if they agree.
        def rivals(file, field, datum)
          others = field.quantity == "torque" ? file.rivals(field.key) : []
          if others.empty?
            []
          else
            [datum, *others].map do |each|
              { **each.to_h.slice(:value, :unit, :source), label: @catalogue.sources.fetch(each.source) }
            end
          end
        end

        def earlier(field)
          @history.fetch(field.key, [])[0...-1].map do |entry|
            "#{[entry.value || "unknown", entry.unit].compact.join(" ")} (#{entry.recorded_at[0, 10]})"
          end
        end
      end
    end
  end
end
