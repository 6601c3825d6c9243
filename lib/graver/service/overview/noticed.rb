# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What was answered about something noticed on the road and is still open: it counts as a mark of a look-over
      # would, until it is closed.
      module Noticed
        ITEM = "symptom"
        # How an open end names the mark it is about.
        ABOUT = "symptom."

        module_function

        # [Storage::OpenEnd] of a vehicle -> [CurrentConditions::Seen], one of each mark
        def call(knowledge, open_ends)
          item = knowledge.condition_item(ITEM)
          found =
            open_ends
              .select { |each| each.open? && each.about.to_s.start_with?(ABOUT) }
              .filter_map { |each| (mark = item.mark(each.about.delete_prefix(ABOUT))) && seen(item, mark, each.day) }
          found.uniq { |each| each.mark.id }
        end

        def seen(item, mark, date)
          CurrentConditions::Seen.new(date:, item:, mark:, axle_id: nil, side: nil, face: nil)
        end
      end
    end
  end
end
