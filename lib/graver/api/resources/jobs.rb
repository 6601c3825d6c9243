# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Jobs from proposal to finish.
      class Jobs < Resource
        get "/axles/:id/job-plan", :proposed_job
        get "/axles/:id/job-plan/drawing", :proposed_drawing
        post "/axles/:id/jobs", :plan_job, 201
        get "/jobs/:id", :job
        patch "/jobs/:id", :change_job
        put "/jobs/:id/scope", :change_scope
        post "/jobs/:id/finish", :finish_job
        post "/jobs/:id/restore", :restore_job
        post "/jobs/:id/put-back", :put_back_job
        post "/jobs/:id/pause", :pause_job
        post "/jobs/:id/together", :job_together
        get "/jobs/:id/progress", :progress
        get "/jobs/:id/bed-in", :bed_in
        get "/jobs/:id/drawing", :job_drawing
        post "/jobs/:id/ticks", :tick
        post "/jobs/:id/answers", :answer_step
        post "/jobs/:id/afterwards", :tick_afterwards
        post "/jobs/:id/torques", :record_torque
        post "/jobs/:id/scan-tool-actions", :scan_tool_action, 201
        post "/jobs/:id/readings", :record_readings
        post "/jobs/:id/deviations", :deviate
        post "/jobs/:id/deviations/:step/resolution", :resolve_deviation
        post "/jobs/:id/resolved", :resolve
        put "/jobs/:id/part-choices", :choose_part
        put "/jobs/:id/quote", :quote
        put "/jobs/:id/approaches", :approach
        post "/jobs/:id/notes", :note_step, 201
        post "/jobs/:id/plan-edits", :edit_plan, 201
        delete "/jobs/:id/plan-edits/:event", :drop_plan_edit
        get "/jobs/:id/sheet.pdf", :sheet
        get "/jobs/:id/card.pdf", :card
        get "/jobs/:id/parts.csv", :parts_list

        def proposed_job = shown(plans.proposed(id))
        def plan_job = answer(planning.plan(id, payload(Contracts::NewJob)[:planned_for]))
        def job = shown(plans.find(id))
        # Its corners in three dimensions, and what each step is about.
        def job_drawing = drawn(plans.find(id))
        def proposed_drawing = drawn(plans.proposed(id))
        def change_job
          given = payload(Contracts::JobChange)
          needed = Service::Jobs::VersionedJob::NEEDED.fetch(given[:state], [])
          answer(if_unchanged(versioned_fields, given, needed:) { planning.change(id, **given) })
        end

        def change_scope
          given = payload(Contracts::JobScope)
          axles, reasons = [given[:axles], given[:reasons] || {}].map { |each| each.transform_keys(&:to_s) }
          answer(if_unchanged(versioned_fields, given) { planning.scope(id, axles, reasons) })
        end

        def finish_job = answer(Service::Jobs::FinishJob.new(context).call(id, payload(Contracts::JobFinish)))
        def restore_job = answer(planning.take_back(id))
        def put_back_job = answer(stopping.put_back(id))
        def pause_job = answer(stopping.pause(id))
        def job_together = with(Contracts::Together) { |given| stopping.together(id, given[:because]) }
        def tick
          given = payload(Contracts::Tick)
          Serializers::JobProgress.call(progress_of.call(ticks.tick(id, given[:steps], given[:done], seen(given))))
        end
        def progress = Serializers::JobProgress.call(progress_of.find(id))

        def bed_in
          asked = Service::Jobs::BedInCoach::RANGES.keys.to_h { |name| [name, params[name.to_s]] }
          Serializers::BedIns.call(Service::Jobs::BedInCoach.new(context).call(id, asked))
        end

        def record_torque
          log = Service::Jobs::TorqueLog.new(context)
          Serializers::JobProgress.call(progress_of.call(log.call(id, payload(Contracts::TorqueReached))))
        end

        def scan_tool_action
          given = payload(Contracts::ScanToolAction)
          Service::Jobs::ScanToolAction.new(context).call(id, given[:step], given[:device]).to_h
        end

        def record_readings
          with(Contracts::JobReadings) { |given| Service::Jobs::JobReadings.new(context).call(id, given) }
        end

        def tick_afterwards
          with(Contracts::AfterwardsStep) do |given|
            Service::Jobs::Afterwards.new(context).call(id, given[:step], given[:odometer])
          end
        end

        def answer_step = with(Contracts::StepAnswer) { |given| ticks.answer(id, given[:step], given[:answer]) }
        def deviate = with(Contracts::Deviation) { |given| ticks.deviate(id, given[:step], given[:because]) }
        def resolve_deviation = answer(ticks.resolve_deviation(id, params.fetch("step")))
        def resolve
          with(Contracts::Resolved) { |given| planning.resolve(id, given[:items] || [given[:item]], given[:done]) }
        end

        def choose_part
          with(Contracts::PartChoice) do |given|
            if_unchanged(versioned_fields, given) { planning.choose(id, given[:line], given[:supply]) }
          end
        end
        def approach
          with(Contracts::JobApproach) do |given|
            if_unchanged(versioned_fields, given) { planning.approach(id, given[:approach], given[:option]) }
          end
        end
        def quote
          with(Contracts::Quote) do |given|
            if_unchanged(versioned_fields, given) { planning.quote(id, given[:total], given.fetch(:lines, [])) }
          end
        end
        def note_step = with(Contracts::StepNote) { |given| planning.note(id, given[:step], given[:text]) }
        def edit_plan = with(Contracts::PlanEdit) { |given| planning.adjust(id, given) }
        def drop_plan_edit = answer(planning.restore(id, @exchange.number("event", missing: "missing.change")))

        def sheet
          plan = plans.find(id)
          drawings = Serializers::PrintedDrawings.new.call(Service::Jobs::JobDrawing.new(knowledge).call(plan))
          printed("job") { |job, paper| Sheet::JobSheet.call(job, paper, drawings) }
        end
        def card = printed("card") { |job, paper| Sheet::WallCard.call(job, paper) }

        def parts_list
          Download.new(
            type: "text/csv",
            body: Service::Jobs::PartsCsv.call(plans.find(id)),
            disposition: "attachment; filename=\"parts-job-#{id}.csv\""
          )
        end

        private

        def drawn(plan) = Serializers::Drawings.new(words).job(Service::Jobs::JobDrawing.new(knowledge).call(plan))

        def printed(name)
          Download.new(
            type: "application/pdf",
            body: yield(Say::Voice.plain(job), params.fetch("paper", "a4")),
            disposition: "inline; filename=\"#{name}-#{id}.pdf\""
          )
        end

        def versioned_fields = Service::Jobs::VersionedJob.new(context, id)
        def stopping = Service::Jobs::StopJob.new(context)
        def planning = Service::Jobs::JobChanges.new(context)
        def seen(given) = (given[:seen] || {}).transform_keys(&:to_s)
        def ticks = Service::Jobs::JobTicks.new(context)
        def progress_of = Service::Jobs::JobProgress.new(context)
        def plans = Service::Jobs::JobPlan.new(context)
        def shown(plan) = Sections.with_version(job_plan(plan))
        # To a command: what it changed, if the sender says which version it has.
        def answer(job) = Sections.since(@exchange.have, job_plan(plans.of_job(job)))
        def with(contract) = answer(yield(payload(contract)))
      end
    end
  end
end
