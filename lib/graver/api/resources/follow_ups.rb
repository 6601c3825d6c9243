# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Follow-ups of a vehicle, until they are closed.
      class FollowUps < Resource
        post "/vehicles/:id/follow-ups", :add_follow_up, 201
        patch "/follow-ups/:id", :change_follow_up
        post "/vehicles/:id/causes", :answer_cause, 201

        def add_follow_up = shown(ends.add(id, payload(Contracts::NewFollowUp)))

        def change_follow_up
          because = payload(Contracts::FollowUpChange)[:because]
          shown(because ? ends.close(id, because) : ends.reopen(id))
        end

        def answer_cause
          shown(Service::Judging::ConfirmedCause.new(context).call(id, payload(Contracts::ConfirmedCause)))
        end

        private

        def ends = Service::Household::FollowUps.new(context)
        def shown(each) = Serializers::FollowUps.one(each, context.today)
      end
    end
  end
end
