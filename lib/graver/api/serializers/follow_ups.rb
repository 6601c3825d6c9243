# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Follow-ups of a vehicle, open ones first.
      module FollowUps
        module_function

        # [Storage::FollowUp], Date
        def call(ends, today)
          ends.partition(&:open?).flat_map(&:itself).map { |each| one(each, today) }
        end

        def one(each, today)
          {
            **each.to_h.slice(:id, :axle_id, :side, :text, :about, :closed_because),
            day: each.day.iso8601,
            look_on: each.look_on&.iso8601,
            due: each.due?(today),
            closed_on: each.closed_on&.iso8601
          }
        end
      end
    end
  end
end
