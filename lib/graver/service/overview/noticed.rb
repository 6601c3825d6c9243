# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Open answers to symptoms: each counts as a mark of an inspection would, until it is closed.
      module Noticed
        ITEM = "symptom"
        # How a follow-up names the mark it is about.
        ABOUT = "symptom."

        module_function

        # [Storage::FollowUp] of a vehicle -> [CurrentConditions::Observation], one of each mark
        def call(knowledge, follow_ups)
          item = knowledge.condition_item(ITEM)
          found =
            follow_ups
              .select { |each| each.open? && each.about.to_s.start_with?(ABOUT) }
              .filter_map { |each| (mark = item.mark(each.about.delete_prefix(ABOUT))) && seen(item, mark, each.day) }
          found.uniq { |each| each.mark.id }
        end

        def seen(item, mark, date)
          CurrentConditions::Observation.new(date:, item:, mark:, axle_id: nil, side: nil, face: nil)
        end
      end
    end
  end
end
