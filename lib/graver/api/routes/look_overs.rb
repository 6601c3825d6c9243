# frozen_string_literal: true

require_relative "../contracts/look_overs"
require_relative "../contracts/corrections"
require_relative "../serializers/preview"
require_relative "../serializers/walk_rounds"
require_relative "../serializers/look_overs"
require_relative "../../service/correct"
require_relative "../../service/log_look_over"
require_relative "../../service/vehicle_overviews"
require_relative "../../service/walk_round"

module Graver
  module API
    module Routes
      # The walk round a vehicle: what it needs, its draft, its preview; and what was logged, with its corrections.
      module LookOvers
        def self.registered(app)
          app.helpers do
            # A vehicle that is there.
            def vehicle_id = context.store.vehicles.find(id).id
            def look_over_json(id) = Serializers::LookOvers.new(knowledge).call(context.store.look_overs.find(id), context.store)
          end

          app.get("/vehicles/:id/walk-round") do
            round = Service::WalkRound.new(context).call(Service::VehicleOverviews.new(context).find(id))
            answer(Serializers::WalkRounds.new(knowledge).call(round, context.today, context.store.instruments.all))
          end

          app.put("/walk-round-order") do
            Service::WalkRound.new(context).remember(payload(Contracts::WalkOrder))
            answer(Service::WalkRound.new(context).order)
          end

          app.post("/vehicles/:id/look-overs") do
            answer({ id: Service::LogLookOver.new(context).call(id, payload(Contracts::LookOver)) }, 201)
          end

          app.post("/vehicles/:id/look-overs/preview") do
            answer(Serializers::Preview.new(knowledge).call(Service::LogLookOver.new(context).entry(id, payload(Contracts::LookOver))))
          end

          app.get("/vehicles/:id/draft") do
            draft = context.store.drafts.find(vehicle_id)
            answer({ draft: draft&.to_h&.slice(:content, :revision) })
          end

          app.put("/vehicles/:id/draft") do
            # The content is the screen's own affair: checked to be an object, kept as it came.
            content = parsed
            revision = Contracts::DraftChange.check(content)[:revision]
            draft = context.store.transaction { context.store.drafts.save(vehicle_id, content["content"], revision:, at: context.now) }
            answer(draft.to_h.slice(:content, :revision))
          end

          app.delete("/vehicles/:id/draft") do
            context.store.transaction { context.store.drafts.remove(vehicle_id) }
            status 204
          end

          app.get("/look-overs/:id") { answer(look_over_json(id)) }

          app.post("/look-overs/:id/corrections") do
            given = payload(Contracts::LookOverCorrection)
            given[:reading] ? Service::Correct.new(context).reading(id, given[:reading], given.except(:reading)) : Service::Correct.new(context).look_over(id, given)
            answer(look_over_json(id), 201)
          end
        end
      end
    end
  end
end
