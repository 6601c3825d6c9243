# frozen_string_literal: true

module Graver
  module API
    module Routes
      # Jobs from the first proposal to the end.
      module Jobs
        def self.registered(app)
          app.helpers do
            def jobs = Service::Planning::Jobs.new(context)
            def ticks = Service::Planning::JobTicks.new(context)
            def plans = Service::Planning::JobPlan.new(context)
            def plan_of(job) = plans.of_job(job)
            def job_json(job) = Serializers::JobPlans.new(knowledge).call(plan_of(job))
            def job_of_address = context.store.jobs.find(id)
          end

          app.get("/axles/:id/job-plan") { answer(Serializers::JobPlans.new(knowledge).call(plans.proposed(id))) }
          app.post("/axles/:id/jobs") { answer(job_json(jobs.plan(id, payload(Contracts::NewJob)[:planned_for])), 201) }
          app.get("/jobs/:id") { answer(job_json(job_of_address)) }
          app.patch("/jobs/:id") { answer(job_json(jobs.change(id, **payload(Contracts::JobChange)))) }

          app.put("/jobs/:id/scope") do
            given = payload(Contracts::JobScope)
            answer(job_json(jobs.scope(id, given[:axles].transform_keys(&:to_s), (given[:reasons] || {}).transform_keys(&:to_s))))
          end

          app.post("/jobs/:id/finish") { answer(job_json(Service::Planning::FinishJob.new(context).call(id, payload(Contracts::JobFinish)))) }
          app.post("/jobs/:id/restore") { answer(job_json(jobs.take_back(id))) }
          app.post("/jobs/:id/ticks") { payload(Contracts::Tick).then { |given| answer(job_json(ticks.tick(id, given[:step], given[:done]))) } }
          app.post("/jobs/:id/otherwise") { payload(Contracts::Otherwise).then { |given| answer(job_json(ticks.otherwise(id, given[:step], given[:because]))) } }
          app.post("/jobs/:id/cleared") { answer(job_json(ticks.clear(id, payload(Contracts::Cleared)[:step]))) }
          app.post("/jobs/:id/settled") { payload(Contracts::Settled).then { |given| answer(job_json(jobs.settle(id, given[:item], given[:done]))) } }
          app.put("/jobs/:id/choices") { payload(Contracts::PartChoice).then { |given| answer(job_json(jobs.choose(id, given[:line], given[:supply]))) } }
          app.put("/jobs/:id/quote") { answer(job_json(jobs.quote(id, payload(Contracts::Quote)[:total]))) }
          app.post("/jobs/:id/notes") { payload(Contracts::StepNote).then { |given| answer(job_json(jobs.note(id, given[:step], given[:text])), 201) } }
          app.post("/jobs/:id/adjustments") { answer(job_json(jobs.adjust(id, payload(Contracts::Adjustment))), 201) }

          app.delete("/jobs/:id/adjustments/:event") do
            raise NotFound, "there is no such change" unless params["event"].match?(/\A\d{1,15}\z/)

            answer(job_json(jobs.restore(id, params["event"].to_i)))
          end

          app.get("/jobs/:id/sheet.pdf") do
            paper = params.fetch("paper", "a4")
            raise InvalidEntry.of("paper", "unknown_paper", "paper is a4 or letter") unless Sheet::Paper::SIZES.key?(paper)

            content_type "application/pdf"
            headers "Content-Disposition" => "inline; filename=\"job-#{id}.pdf\""
            Sheet::JobSheet.call(job_json(job_of_address), paper)
          end

          app.get("/jobs/:id/parts.csv") do
            content_type "text/csv", charset: "utf-8"
            headers "Content-Disposition" => "attachment; filename=\"parts-job-#{id}.csv\""
            Service::Planning::PartsCsv.call(plan_of(job_of_address))
          end
        end
      end
    end
  end
end
