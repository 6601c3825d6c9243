# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Readings of the fitted pads, whatever the forecast makes of them: a precise reading without a flag stands, and
      # material only wears away. A flagged reading is no pass either.
      class PadsRead
        # position: "left_inner"; entry: Core::Wear::Entry; mm: as read
        Read = Core::Value.define(:position, :entry, :mm)
        # Floating point apart, a reading on a limit is out.
        ON_THE_LIMIT_MM = 1e-9

        def initialize(knowledge, file)
          @knowledge = knowledge
          @file = file
        end

        # The newest precise reading of each position -> [Read]
        def certain = @certain ||= newest { |entry| entry.trust >= 1 }

        # Those kept with a doubt and not settled since by a precise reading -> [Read]
        def doubted
          @doubted ||=
            newest { |entry| entry.trust < 1 }.reject do |read|
              certain.any? { |other| other.position == read.position && later?(other.entry, read.entry) }
            end
        end

        # The thinnest of `certain` at or under a limit, or nil
        def at_or_under(limit_mm) = thinnest(certain, limit_mm)

        # Is it one of those?
        def out?(position, limit_mm) = certain.any? { |read| read.position == position && under?(read, limit_mm) }

        # -> { "read_floor_mm" => 1.2, "read_floor_place" => "Left inner pad", "read_floor_on" => "2026-05-16", ... };
        # only measures that apply
        def measures(floor_mm, limit_mm)
          floor = at_or_under(floor_mm)
          {
            **said("read_floor", floor, floor_mm),
            **said("doubted_floor", thinnest(doubted, floor_mm), floor_mm),
            **said("read_limit", floor ? nil : at_or_under(limit_mm), limit_mm)
          }
        end

        private

        def newest
          @file.positions.filter_map do |position|
            entry = on(position).reverse.find { |each| precise?(each) && yield(each) }
            entry && Read.new(position:, entry:, mm: thickness_mm(entry))
          end
        end

        def on(position) = @file.since_fit("pad", *position.split("_"))
        def precise?(entry) = !entry.reading.nil? && @knowledge.precise?(entry.reading.method)
        def thickness_mm(entry) = @knowledge.normalise.call(entry.reading, @file.part("pad")).value_mm
        def under?(read, limit_mm) = read.mm <= limit_mm + ON_THE_LIMIT_MM
        def thinnest(reads, limit_mm) = reads.select { |read| under?(read, limit_mm) }.min_by(&:mm)

        def later?(one, other) = order(one) > order(other)
        def order(entry) = @file.entries.index(entry)

        def said(name, read, limit_mm)
          return {} unless read

          exactly = (read.mm - limit_mm).abs <= ON_THE_LIMIT_MM

          {
            "#{name}_mm" => read.mm,
            "#{name}_place" => @file.wording.own("#{read.position.tr("_", " ")} pad").capitalize,
            "#{name}_on" => read.entry.date.iso8601,
            "#{name}_exactly" => exactly ? Message.of("findings.on_the_limit") : ""
          }
        end
      end
    end
  end
end
