# frozen_string_literal: true

module Graver
  module Service
    module Tables
      # New pads and rotors that a person's table does not name: asked about row by row, and taken where nothing else
      # makes sense.
      class Renewals
        # line: of the table; axle_id; part; key: [Date, km]; text: the question; assumed: used unless the owner says
        # no; new: what is used now
        Asked = Core::Value.define(:line, :axle_id, :part, :key, :text, :assumed, :new)
        PARTS = %w[pad rotor].freeze

        # files: { axle name => AxleRecord }; answers: { line => new set? }
        def initialize(knowledge, files, answers)
          @knowledge = knowledge
          @files = files
          @answers = answers
          thresholds = knowledge.question_thresholds
          @rules = { **thresholds.slice(:coverage, :least_mm), sure_mm: thresholds.fetch(:renewal_sure_mm) }
        end

        # [ImportedRows::Taken] -> [Asked], in the order of the table
        def call(taken)
          by_axle = taken.group_by(&:axle_id)
          asked = @files.values.product(PARTS).flat_map { |file, part| of(file, part, by_axle.fetch(file.axle.id, [])) }
          asked.sort_by(&:line)
        end

        private

        def of(file, part, taken)
          # Graver's own log states renewals and flags itself.
          mine = taken.select { |row| row.entry.part == part && row.cells.values_at("entered", "doubt").none? }
          return [] if mine.empty?

          lines = mine.group_by { |row| key(row.entry) }.transform_values { |rows| rows.map(&:line).min }
          asked = []
          Core::Wear::LikelyRenewals.call(services(file, part, mine), @rules) do |found|
            line = lines[found.key] or next false
            asked << ask(file, part, line, found)
            asked.last.new
          end
          asked
        end

        def ask(file, part, line, found)
          tokens = {
            axle: file.axle.name.capitalize,
            part:,
            day: found.key[0],
            before: found.before_mm,
            now: found.now_mm
          }
          Asked.new(
            line:,
            axle_id: file.axle.id,
            part:,
            key: found.key,
            text: Message.of("tables.renewal", **tokens),
            assumed: found.sure,
            new: @answers.fetch(line, found.sure)
          )
        end

        # Logged and incoming readings, service by service.
        def services(file, part, taken)
          entries = file.entries.select { |entry| entry.part == part } + taken.map(&:entry)
          entries
            .group_by { |entry| key(entry) }
            .sort_by(&:first)
            .map { |at, group| Core::Wear::LikelyRenewals::Service.new(key: at, **told(file, group)) }
        end

        def told(file, group)
          read = group.select { |entry| entry.event == "reading" && entry.reading }
          {
            read: read.to_h { |entry| [[entry.side, entry.pad], thickness(file, entry)] },
            renewed: group.any?(&:renewal?)
          }
        end

        def thickness(file, entry) = @knowledge.normalise.call(entry.reading, file.part(entry.part))
        def key(entry) = [entry.date, entry.odometer_km]
      end
    end
  end
end
