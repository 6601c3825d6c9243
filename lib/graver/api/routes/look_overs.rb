# frozen_string_literal: true

module Graver
  module API
    module Routes
      # The walk round a vehicle: what it needs, its draft, its preview; and what was logged, with its corrections.
      module LookOvers
        def self.registered(app)
          app.helpers do
            # A vehicle that is there.
            def vehicle_id = context.store.vehicles.find(id).id

            def bin_json
              contents = Service::Household::Bin.new(context).contents
              { vehicles: contents.vehicles.map { |vehicle| vehicle.to_h.slice(:id, :name, :kind) },
                jobs: contents.jobs.map { |job, vehicle| { id: job.id, vehicle: vehicle.name, what: Service::Planning::JobTitle.of_job(knowledge, job, vehicle.axles) } },
                drafts: contents.drafts.map { |draft, vehicle| { id: draft.id, vehicle: vehicle.name, vehicle_id: vehicle.id, recorded_at: draft.recorded_at } } }
            end

            def look_over_json(id) = Serializers::LookOvers.new(knowledge).call(context.store.look_overs.find(id), context.store)
          end

          app.get("/vehicles/:id/walk-round") do
            round = Service::Measuring::WalkRound.new(context).call(Service::Overview::VehicleOverviews.new(context).find(id))
            answer(Serializers::WalkRounds.new(knowledge).call(round, context.today, context.store.instruments.all))
          end

          app.put("/walk-round-order") do
            Service::Measuring::WalkRound.new(context).remember(payload(Contracts::WalkOrder))
            answer(Service::Measuring::WalkRound.new(context).order)
          end

          app.post("/vehicles/:id/look-overs") do
            answer({ id: Service::Measuring::LogLookOver.new(context).call(id, payload(Contracts::LookOver)) }, 201)
          end

          app.post("/vehicles/:id/look-overs/preview") do
            answer(Serializers::Preview.new(knowledge).call(Service::Measuring::LogLookOver.new(context).entry(id, payload(Contracts::LookOver))))
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
            answer({ binned: Service::Household::Bin.new(context).put_draft(vehicle_id) })
          end

          app.get("/bin") { answer(bin_json) }
          app.post("/binned-drafts/:id/restore") { answer({ vehicle_id: Service::Household::Bin.new(context).restore_draft(id) }) }

          app.get("/look-overs/:id") { answer(look_over_json(id)) }

          app.post("/look-overs/:id/corrections") do
            given = payload(Contracts::LookOverCorrection)
            correct = Service::Measuring::Correct.new(context)
            if given[:reading] then correct.reading(id, given[:reading], given.except(:reading))
            elsif given[:condition] then correct.condition(id, given[:condition], given.except(:condition))
            else correct.look_over(id, given)
            end
            answer(look_over_json(id), 201)
          end
        end
      end
    end
  end
end
