# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Handles places read or marked again in the same inspection: the earlier entry stays on file but no longer
      # counts.
      class ReadAgain
        PLACE = %i[axle_id event part side pad].freeze
        SEEN = %i[axle_id side face item].freeze
        private_constant :PLACE, :SEEN

        def initialize(context)
          @corrections = context.store.corrections
          @stamp = { at: context.now, by: context.person }
        end

        # inspection: Storage::Inspection; entry: InspectionEntry -> the rows of its conditions that are not on file yet
        def call(inspection, entry)
          entry.lines.each { |line| void_reading(inspection, line) }
          marks, figures = entry.conditions.partition { |row| row[:mark] }
          named = figures.map { |row| row[:item] }
          void_all(inspection, inspection.conditions.select { |each| each.mark.nil? && named.include?(each.item) })
          figures + new_marks(inspection, marks)
        end

        # places: [{ axle:, side:, face:, item: }] where no mark holds any more
        def unmark(inspection, places)
          gone = places.map { |place| place.values_at(:axle, :side, :face, :item) }
          void_all(inspection, marked(inspection).select { |each| gone.include?(each.to_h.values_at(*SEEN)) })
        end

        private

        def marked(inspection) = inspection.conditions.select(&:mark)

        # The newest marks of an item replace all earlier ones.
        def new_marks(inspection, rows)
          places = rows.map { |row| row.values_at(*SEEN) }
          standing = marked(inspection).select { |each| places.include?(each.to_h.values_at(*SEEN)) }
          kept, gone = standing.partition { |each| rows.any? { |row| same?(row, each) } }
          void_all(inspection, gone)
          rows.reject { |row| kept.any? { |each| same?(row, each) } }
        end

        def same?(row, seen) = row.values_at(*SEEN, :mark) == seen.to_h.values_at(*SEEN, :mark)

        def void_reading(inspection, line)
          given = line.given
          wanted = [given[:axle], given[:event], given[:part], given[:side], given[:pad]]
          same = inspection.readings.select { |row| row.to_h.values_at(*PLACE) == wanted }
          same.each { |row| void(inspection, reading_id: row.id) }
        end

        def void_all(inspection, conditions) = conditions.each { |each| void(inspection, condition_id: each.id) }

        def void(inspection, **what)
          reason = Message.of("findings.read_again")
          @corrections.add(inspection_id: inspection.id, **what, change: { "void" => true }, reason:, **@stamp)
        end
      end
    end
  end
end
