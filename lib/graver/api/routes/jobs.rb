# frozen_string_literal: true

require_relative "../contracts/jobs"
require_relative "../serializers/job_cards"
require_relative "../../service/job_card"
require_relative "../../service/jobs"

module Graver
  module API
    module Routes
      # Job cards and jobs.
      module Jobs
        def self.registered(app)
          app.helpers do
            def job_cards = Serializers::JobCards.new(knowledge)
            def card_of(axle_id) = Service::JobCard.new(context).call(Service::AxleFiles.new(context).find(axle_id))
            def job_json(job) = job_cards.job(job, card_of(job.axle_id))
          end

          app.get("/axles/:id/job-card") { answer(job_cards.call(card_of(id))) }
          app.post("/axles/:id/jobs") { answer(job_json(Service::Jobs.new(context).plan(id, payload(Contracts::NewJob)[:planned_for])), 201) }
          app.get("/jobs/:id") { answer(job_json(context.store.jobs.find(id))) }

          app.patch("/jobs/:id") do
            given = payload(Contracts::JobChange)
            answer(job_json(Service::Jobs.new(context).change(id, **given.slice(:planned_for, :state))))
          end

          app.post("/jobs/:id/ticks") do
            given = payload(Contracts::Tick)
            answer(job_json(Service::Jobs.new(context).tick(id, given[:step], given[:done])))
          end
        end
      end
    end
  end
end
