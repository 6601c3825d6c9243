# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The log of a vehicle: each inspection in words, with the figure that decides.
      class VehicleLog
        # Parts whose figures are told: digits, and whether the largest one counts.
        FIGURES = { "pad" => [1, false], "rotor" => [2, false], "drum" => [2, true] }.freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Overview -> [Hash], the newest first
        def call(overview)
          [*overview.inspections, *overview.ahead].reverse.map do |inspection|
            {
              id: inspection.id,
              date: inspection.date.iso8601,
              odometer_km: inspection.odometer_km.round(1),
              what: what(overview, inspection),
              note: inspection.note
            }
          end
        end

        private

        def what(overview, inspection)
          marks = inspection.conditions.empty? ? [] : [Say::Texts.t("log.marks", count: inspection.conditions.length)]
          found = readings(overview, inspection) + marks
          found.empty? ? Say::Texts.t("log.odometer") : found.join("; ")
        end

        def readings(overview, inspection)
          files = overview.axles.to_h { |axle| [axle.file.axle.id, axle.file] }
          names = overview.vehicle.axles.to_h { |axle| [axle.id, axle.name] }
          inspection
            .readings
            .group_by { |row| [row.axle_id, row.part, row.event] }
            .map { |(axle, part, event), rows| said(names[axle], files[axle], part, event, rows) }
        end

        def said(name, file, part, event, rows)
          places = rows.map { |row| [row.side, row.pad] }.uniq.length
          told = described(name, file&.part_name(part) || part, event, places)
          event == "reading" && file ? [told, extreme(file, part, rows)].compact.join(", ") : told
        end

        # The figure that decides: the thinnest pad or rotor, the widest drum, with its place; nil without one.
        def extreme(file, part, rows)
          digits, widest = FIGURES[part]
          read = rows.select { |row| digits && row.value && file.fault(row).nil? }
          return if read.empty?

          sorted = read.sort_by { |row| file.row_mm(row) }
          row = widest ? sorted.last : sorted.first
          length = Say::Lengths.call(file.row_mm(row), part == "pad" ? "pad" : "rotor", digits:)
          Say::Texts.t(widest ? "log.widest" : "log.thinnest", length:, place: [row.side, row.pad].compact.join(" "))
        end

        # "slide_pins.seized" -> "slide pins (seized)"
        def answered(part)
          id, mark = part.split(".")
          item = @knowledge.condition_item(id) or return id.tr("_", " ")
          "#{item.label.downcase} (#{item.mark(mark)&.label || mark})"
        end

        def described(axle, part, event, count)
          case event
          when "renewed"
            axle ? Say::Texts.t("log.fluid_renewed_at", axle:) : Say::Texts.t("log.fluid_renewed")
          when "bled"
            Say::Texts.t("log.fluid_bled", axle:)
          when "answered"
            Say::Texts.t("log.seen_to", what: [AxleName.word(axle), answered(part)].compact.join(" "))
          when "fit"
            Say::Texts.t("log.fitted", axle:, part:)
          when "reading"
            Say::Texts.t("log.read", count:, axle:, part:)
          when "squealer", "sensor", "metal"
            Say::Texts.t("log.#{event}", axle:)
          when "freed"
            Say::Texts.t("log.freed", axle:)
          when "resurfaced"
            Say::Texts.t("log.machined", axle:, part:)
          else
            "#{axle} #{event}"
          end
        end
      end
    end
  end
end
