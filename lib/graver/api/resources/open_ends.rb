# frozen_string_literal: true

module Graver
  module API
    module Resources
      # What stays open at a vehicle until it is closed.
      class OpenEnds < Resource
        post "/vehicles/:id/open-ends", :add_open_end, 201
        patch "/open-ends/:id", :change_open_end
        post "/vehicles/:id/causes", :answer_cause, 201

        def add_open_end = shown(ends.add(id, payload(Contracts::NewOpenEnd)))

        def change_open_end
          because = payload(Contracts::OpenEndChange)[:because]
          shown(because ? ends.close(id, because) : ends.reopen(id))
        end

        def answer_cause
          shown(Service::Judging::CauseAnswer.new(context).call(id, payload(Contracts::CauseAnswer)))
        end

        private

        def ends = Service::Axles::OpenEnds.new(context)
        def shown(each) = Serializers::OpenEnds.one(each, context.today)
      end
    end
  end
end
