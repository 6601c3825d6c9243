# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # What is read or marked again in the same look-over: what was said before stays on file and counts no more.
      class ReadAgain
        PLACE = %i[axle_id event part side pad].freeze
        SEEN = %i[axle_id side face item].freeze
        private_constant :PLACE, :SEEN

        def initialize(context)
          @corrections = context.store.corrections
          @at = context.now
        end

        # look_over: Storage::LookOver; entry: LookOverEntry -> the rows of its conditions that are not on file yet
        def call(look_over, entry)
          entry.lines.each { |line| void_reading(look_over, line) }
          marks, figures = entry.conditions.partition { |row| row[:mark] }
          named = figures.map { |row| row[:item] }
          void_all(look_over, look_over.conditions.select { |each| each.mark.nil? && named.include?(each.item) })
          figures + new_marks(look_over, marks)
        end

        # places: [{ axle:, side:, face:, item: }] where no mark holds any more
        def unmark(look_over, places)
          gone = places.map { |place| place.values_at(:axle, :side, :face, :item) }
          void_all(look_over, marked(look_over).select { |each| gone.include?(each.to_h.values_at(*SEEN)) })
        end

        private

        def marked(look_over) = look_over.conditions.select(&:mark)

        # What is said of a thing is all that holds of it.
        def new_marks(look_over, rows)
          places = rows.map { |row| row.values_at(*SEEN) }
          standing = marked(look_over).select { |each| places.include?(each.to_h.values_at(*SEEN)) }
          kept, gone = standing.partition { |each| rows.any? { |row| same?(row, each) } }
          void_all(look_over, gone)
          rows.reject { |row| kept.any? { |each| same?(row, each) } }
        end

        def same?(row, seen) = row.values_at(*SEEN, :mark) == seen.to_h.values_at(*SEEN, :mark)

        def void_reading(look_over, line)
          given = line.given
          wanted = [given[:axle], given[:event], given[:part], given[:side], given[:pad]]
          same = look_over.readings.select { |row| row.to_h.values_at(*PLACE) == wanted }
          same.each { |row| void(look_over, reading_id: row.id) }
        end

        def void_all(look_over, conditions) = conditions.each { |each| void(look_over, condition_id: each.id) }

        def void(look_over, **what)
          reason = Texts.say("findings.read_again")
          @corrections.add(look_over_id: look_over.id, **what, change: { "void" => true }, at: @at, reason:)
        end
      end
    end
  end
end
