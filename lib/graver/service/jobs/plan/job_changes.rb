# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Jobs
      # Changes to a job before it starts: scope, day, notes, order, resolved items, readiness.
      class JobChanges < JobEvents
        MOST_ADJUSTMENTS = 60

        # A draft with the proposed scope. planned_for: ISO day or nil -> Storage::Job. Raises InvalidEntry, NotFound.
        def plan(axle_id, planned_for)
          day = day(planned_for)
          proposed = @plans.proposed(axle_id).scope
          scope = { "axles" => works(proposed.included), "reasons" => {} }
          scope["axles"] = { axle_id.to_s => [renewal(proposed, axle_id)] } if scope["axles"].empty?
          @store.transaction do
            job =
              @store.jobs.add(
                axle_id:,
                procedure: @context.knowledge.procedure.id,
                planned_for: day,
                at: @context.now,
                by: @context.person
              )
            record(job, "scope", scope)
          end
        end

        # axles: { "axle id" => [work] }; reasons: { "axle id" => why other rotors than the verdict says } ->
        # Storage::Job
        def scope(id, axles, reasons)
          job = going(id)
          scoping = Jobs::Scope.new(@context)
          overview = Overview::VehicleOverviews.new(@context).find_with(job.axle_id)
          scoping.check(overview, axles, reasons)
          verdicts = scoping.verdicts(overview, job.axle_id, { "axles" => axles })
          wanted = axles.transform_values(&:uniq).reject { |_, works| works.empty? }
          check_begun(job, wanted)
          @store.transaction do
            keep_basis(job)
            # A ready job whose plan changed is a draft again.
            record(job, "draft", nil) if job.state == "ready"
            record(job, "scope", { axles: wanted, reasons:, verdicts: })
            replan(job, wanted.transform_keys(&:to_i), job.approaches)
          end
        end

        # An approach for this job alone; option nil: as the household has it -> Storage::Job. Raises InvalidEntry,
        # NotFound.
        def approach(id, approach, option)
          job = going(id)
          known = @context.knowledge.approaches.dig("job", approach) or
            raise InvalidEntry.of("approach", "unknown_choice", Message.of("faults.unknown_approach"))
          unless option.nil? || known["options"].key?(option)
            choices = known["options"].keys
            raise InvalidEntry.of("option", "unknown_choice", Message.of("faults.choose", choices:))
          end

          @store.transaction do
            keep_basis(job)
            record(job, "draft", nil) if job.state == "ready"
            record(job, "approach", { approach:, option: })
            replan(job, job.works, job.approaches.merge(approach => option).compact)
          end
        end

        # planned_for: ISO day; state: "ready", "draft", "in_progress" or "cancelled"; because: why ready in spite of
        # gaps -> Storage::Job. Raises InvalidEntry, NotFound.
        def change(id, planned_for: nil, state: nil, because: nil, leave_apart: false)
          job = going(id)
          value = state_value(job, state, because)
          refuse_apart(job) if state == "cancelled" && !leave_apart
          day = planned_for && day(planned_for)
          @store.transaction do
            record(job, "planned", day.iso8601) if day
            record(job, state, value) if state
            keep_basis(@store.jobs.find(id))
            Apart.new(@context).follow_up(job, "jobs.left_apart") if state == "cancelled"
          end
          @store.jobs.find(id)
        end

        # restores a cancelled job. Raises InvalidEntry, NotFound.
        def take_back(id)
          job = @store.jobs.find(id)
          unless job.state == "cancelled"
            raise InvalidEntry.of("state", "not_cancelled", Message.of("jobs.not_cancelled"))
          end

          @store.transaction { record(job, @store.jobs.state_before_drop(id), nil) }
        end

        # Things of the readiness ("weather:2026-05-23", "parts:front.pads") are resolved, or not after all.
        def resolve(id, items, done)
          job = going(id)
          @store.transaction { items.map { |item| record(job, "settled", { item:, done: }) }.last }
        end

        # Which of the owner's own parts is bought for a line of the parts list; nil: none yet.
        def choose(id, line, supply)
          if supply && @store.supplies.find(supply).item != line.split(".", 2).last
            raise InvalidEntry.of("supply", "unknown_supply", Message.of("faults.unknown_part"))
          end

          put(id, "chose", { line:, supply: })
        end

        # Stores a shop's quote, as QuoteLines takes it; no quote goes back to the estimate.
        def quote(id, total, lines = []) = put(id, "quoted", QuoteLines.new.call(total, lines))

        # A note at a step, for next time. Raises InvalidEntry.
        def note(id, key, text)
          job = @store.jobs.find(id)
          placed = step(job, key)
          text = words("text", text)
          @store.transaction { record(job, "noted", { step: placed.step.id, key:, text: }) }
        end

        # given: { action: "drop", "insert" or "move", key:, after:, text: }. Refused where it breaks the order.
        # Raises InvalidEntry.
        def adjust(id, given)
          job = going(id)
          check_plan_edit(job, given)
          @store.transaction { record(job, "adjusted", given) }
        end

        # Removes the plan edit recorded as this event.
        def restore(id, event)
          job = going(id)
          raise NotFound, Message.of("missing.change") unless job.plan_edits.key?(event)

          @store.transaction { record(job, "unadjusted", { event: }) }
        end

        # Keys of a job's steps, in working order.
        def step_keys(job) = placed(job).map(&:key)

        private

        def works(axles) = axles.to_h { |axle| [axle.file.axle.id.to_s, axle.works] }

        # New pads, or shoes: what a job is about where nothing is proposed.
        def renewal(scope, axle_id)
          @context.knowledge.scope_rules.of_friction(scope.axles.find { |axle| axle.file.axle.id == axle_id }.offered)
        end

        # A work that one side has had already stays. wanted: { "axle id" => [work] }
        def check_begun(job, wanted)
          return unless job.state == "in_progress"

          rules = @context.knowledge.scope_rules
          faults =
            vehicle_of(job).axles.flat_map do |axle|
              done =
                placed(job)
                  .select { |each| each.axle == axle.name && job.done.include?(each.key) }
                  .map { |each| each.step.id }
              gone = rules.begun(job.works.fetch(axle.id, []) - wanted.fetch(axle.id.to_s, []), done)
              gone.map { |work| begun(axle, work) }
            end
          raise InvalidEntry, faults if faults.any?
        end

        def begun(axle, work)
          label = @context.knowledge.work(work).label
          message = Message.of("jobs.begun", axle: axle.name.capitalize, work: label)
          InvalidEntry::FieldError.new(field: "axles.#{axle.id}", code: "conflict", message:)
        end

        def refuse_apart(job)
          return if job.apart.empty?

          raise InvalidEntry.of(
                  "leave_apart",
                  "missing",
                  Message.of("jobs.apart_first", places: Apart.new(@context).said(job))
                )
        end

        def day(text)
          return if text.nil?

          Date
            .iso8601(text)
            .tap do |date|
              if date < @context.today
                raise InvalidEntry.of("planned_for", "out_of_range", Message.of("jobs.plan_today"))
              end
              if date > @context.today >> 120
                raise InvalidEntry.of("planned_for", "out_of_range", Message.of("jobs.plan_ten_years"))
              end
            end
        rescue Date::Error
          raise InvalidEntry.of(
                  "planned_for",
                  "not_a_day",
                  Message.of("faults.not_a_day", example: @context.today.iso8601)
                )
        end

        def state_value(job, state, because)
          case state
          when "ready"
            ready(job, because)
          when "in_progress"
            require_ready(job) && { day: @context.today.iso8601 }
          end
        end

        # Ready when nothing is open; else the owner gives a reason for starting anyway, but never without an order
        # of steps.
        def ready(job, because)
          refuse_left_apart(job)
          plan = @plans.of_job(job)
          raise InvalidEntry.of("state", "no_order", Message.of("jobs.no_order")) unless plan.ordered.placed

          open = plan.readiness.select(&:open?)
          return { because: nil } if open.empty?

          never = open.select(&:never)
          if never.any?
            raise InvalidEntry.of("because", "never", Message.of("jobs.never", items: never.map(&:text).join(" / ")))
          end
          if because.to_s.strip.empty?
            raise InvalidEntry.of(
                    "because",
                    "not_ready",
                    Message.of("jobs.still_open", items: open.map(&:text).join(" / "))
                  )
          end

          { because: because.strip[0, LONGEST_NOTE], open: open.map(&:id) }
        end

        def basis(job) = job.basis && Basis.new(@context.knowledge, job.basis)

        # A brake that an earlier job left apart cannot be started again.
        def refuse_left_apart(job)
          other = Apart.new(@context).left_on(job.axle_ids).find { |each| each.id != job.id } or return
          raise InvalidEntry.of("state", "conflict", Message.of("jobs.apart_before", title: title(other)))
        end

        def title(job)
          JobTitle.of_job(@context.knowledge, job, vehicle_of(job).axles)
        end

        def check_plan_edit(job, given)
          if job.plan_edits.length >= MOST_ADJUSTMENTS
            raise InvalidEntry.of("", "too_many", Message.of("jobs.too_many_changes", most: MOST_ADJUSTMENTS))
          end

          if given[:action] == "insert" && given[:text].to_s.strip.empty?
            raise InvalidEntry.of("text", "missing", Message.of("faults.few_words"))
          end

          ordered = @plans.ordered(job)
          raise InvalidEntry.of("key", "no_order", Message.of("jobs.no_order")) unless ordered.placed

          known = job.plan_edits.map { |event, made| Jobs::Steps.plan_edit(event, made) }
          wanted = Jobs::Steps.plan_edit(0, given.transform_keys(&:to_s))
          result = Jobs::Steps.new(@context.knowledge).adjust(ordered.base, ordered.lifts, [*known, wanted], basis(job))
          why = result.set_aside.find { |plan_edit, _| plan_edit.equal?(wanted) }&.last
          raise InvalidEntry.of("key", "breaks_order", OrderFaults.new(@context.knowledge).sentence(why)) if why
        end
      end
    end
  end
end
