# frozen_string_literal: true

module Graver
  module Service
    module Logbook
      # The story of each set of a vehicle: how long it lasted, what went first, and what was seen meanwhile that may be
      # why.
      class Sets
        # file: AxleRecord; part: "pad" or "rotor"; story: Core::Wear::SetStory; from, upto: Date of both ends, or nil;
        # on: whether it is on the vehicle now; seen: [[Date, side, item label, mark label]]
        Told = Core::Value.define(:file, :part, :story, :from, :upto, :on, :seen)
        PARTS = %w[pad rotor].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # -> [Told], those that are on first, then the newest. Raises NotFound.
        def of_vehicle(vehicle_id)
          files = Household::AxleRecords.new(@context).of_vehicle(vehicle_id)
          on, ended = files.flat_map { |file| PARTS.flat_map { |part| of_part(file, part) } }.partition(&:on)
          on + ended.sort_by { |each| each.upto || Date.new(0) }.reverse
        end

        private

        def of_part(file, part)
          specification = file.specifications[part] or return []
          history = @knowledge.history_builder.call(file.entries, specification, as_of_km: 0.0)
          stories = Core::Wear::SetStory.all(history.sets)
          told = stories.each_with_index.map { |story, at| told(file, part, story, at == stories.length - 1) }
          # a single look tells no story
          told.reject { |each| !each.story.known && each.story.upto_km <= each.story.from_km }
        end

        def told(file, part, story, on)
          from, upto = day_at(file, story.from_km), day_at(file, story.upto_km)
          Told.new(file:, part:, story:, from:, upto:, on:, seen: seen(file, story, from, upto))
        end

        # The day of the inspection at that distance.
        def day_at(file, km)
          file.inspections.reverse.find { |inspection| inspection.odometer_km <= km + 0.5 }&.date
        end

        # Marks of that axle that aren't good, each once, where the part that went first is, or of both sides.
        def seen(file, story, from, upto)
          side = story.first.to_s[/\A(?:left|right)/]
          file
            .inspections
            .select { |inspection| from && inspection.date.between?(from, upto) }
            .flat_map { |inspection| inspection.conditions.filter_map { |mark| said(file, inspection, mark, side) } }
            .uniq { |_, *what| what }
        end

        def said(file, inspection, mark, side)
          return unless mark.axle_id == file.axle.id && [nil, side].include?(mark.side)

          item = @knowledge.condition_item(mark.item)
          found = item&.mark(mark.mark)
          [inspection.date, mark.side, item.label, found.label] if found && !found.good
        end
      end
    end
  end
end
