# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # The end of a job: its work goes into the log as a look-over of its own (new parts on, marks answered, fluid
      # renewed),
      # the old sets end there, and what it came to is kept as it was planned and as it was.
      class FinishJob < JobEvents
        include Base::FieldFaults

        HOURS = (0.1..200)
        MONEY = (0..1_000_000)

        # given: { date: ISO day or nil, odometer: { value:, unit:, keep: }, fitted: [{ axle:, part:, value:, unit:
        # }], hours:, spent: }
        # -> Storage::Job. Raises InvalidEntry with every fault by field, NotFound.
        def call(id, given)
          plan = @store.transaction { finish(going(id), given) }
          vehicle_id = plan.overview.vehicle.id
          @context.later { |context| Forecast::RecordForecasts.new(context).keep_of(vehicle_id) }
          @store.jobs.find(id)
        end

        private

        # -> JobPlan::Plan it had
        def finish(job, given)
          require_ready(job)
          plan = @plans.of_job(job)
          refuse_open(plan, job)
          entered = entered(plan, given)
          log = @store.look_overs.add(**entered.delete(:look_over), **written(plan, job))
          entered[:used].take
          record(job, "finished", closed(plan, entered, log))
          leave_open(plan, given[:open_ends].to_a)
          plan
        end

        # What was found on the way and not seen to stays with the vehicle.
        def leave_open(plan, texts)
          ends = Axles::OpenEnds.new(@context)
          texts.each_with_index do |text, at|
            next if text.strip.empty?

            ends.add(plan.overview.vehicle.id, { text: })
          rescue InvalidEntry => e
            raise e.under("open_ends.#{at}")
          end
        end

        def written(plan, job)
          title = JobTitle.of_job(@context.knowledge, job, plan.overview.vehicle.axles)
          { note: "Job: #{title}", at: @context.now, job_id: job.id }
        end

        # A job is not finished while a safety gate before the follow-up is open, nor against a verdict.
        def refuse_open(plan, job)
          raise InvalidEntry.of("state", "no_order", Texts.say("jobs.no_order")) unless plan.ordered.placed&.any?
          raise InvalidEntry.of("state", "replan", plan.halts.map(&:text).join(" ")) if plan.halts.any?

          stages = @context.knowledge.procedure.stages.map(&:id) - ["follow_up"]
          open = Planning::Steps.new(@context.knowledge).progress(plan.ordered, job.done).open_gates(stages)
          faults = open.map { |each| gate(each.key, OrderFaults.named(each)) } + loose(plan, job)
          raise InvalidEntry, faults if faults.any?
        end

        def gate(key, message) = InvalidEntry::Fault.new(field: "steps.#{key}", code: "gate_open", message:)

        # Bolts that were last tightened too little, or loosened again.
        def loose(plan, job)
          left = job.torques.select { |entry| %w[under undone].include?(entry["verdict"]) }
          left.filter_map do |entry|
            line =
              plan.torque.map(&:line).find { |each| [each.axle, each.fastener] == entry.values_at("axle", "fastener") }
            next unless line

            gate(entry["step"], Texts.say("torque.loose", label: line.label.downcase, bolt: entry["bolt"]))
          end
        end

        def entered(plan, given)
          @faults = []
          stamp = stamp(plan, given)
          outcome = JobOutcome.new(@context, plan)
          fits =
            outcome.fits.map do |fit|
              fit_row(
                fit,
                given[:fitted].to_a.find { |each| each.values_at(:axle, :part) == [fit.file.axle.id, fit.part] }
              )
            end
          hours = optional("hours", given[:hours], HOURS)
          spent = optional("spent", given[:spent], MONEY)
          raise_faults

          readings = fits.flat_map { |fit, row| rows(fit, row) } + outcome.answered
          {
            look_over: {
              vehicle_id: plan.overview.vehicle.id,
              date: stamp.date,
              odometer: stamp.odometer,
              readings:
            },
            used: UsedSupplies.new(@context).call(plan),
            hours:,
            spent:,
            sets: outcome.ended(stamp.odometer_km),
            day: stamp.date.iso8601
          }
        end

        def stamp(plan, given)
          asked = { date: given[:date] || @context.today.iso8601, odometer: given[:odometer] || {} }
          Measuring::ServiceDate.new(@context, plan.overview.vehicle, plan.overview.look_overs, asked).settled(
            asking: true
          )
        rescue InvalidEntry => e
          @faults.concat(e.faults)
          nil
        end

        # -> [JobOutcome::Fit, { value:, unit: } or nil]
        def fit_row(fit, given)
          field = "fitted.#{fit.file.axle.id}.#{fit.part}"
          return fit, nil unless given && !given[:value].to_s.strip.empty?

          under(field) { [fit, FittedThickness.new(@context.knowledge).call(fit, given)] } || [fit, nil]
        end

        # A new set is one row for the axle; a turned rotor is one for each side.
        def rows(fit, entered)
          row = {
            axle_id: fit.file.axle.id,
            part: fit.part,
            event: fit.event,
            **(entered ? { method: FittedThickness::METHOD, **entered } : {})
          }
          fit.event == "fit" ? [row] : fit.sides.map { |side| row.merge(side:) }
        end

        def optional(field, text, range)
          return if text.to_s.strip.empty?

          under(field) do
            value = Core::Quantity::EnteredNumber.parse(text).value.to_f
            unless range.cover?(value)
              raise(InvalidEntry.of("", "out_of_range", Texts.say("faults.between", least: range.min, most: range.max)))
            end
            value
          end
        end

        def closed(plan, entered, look_over)
          {
            hours: entered[:hours],
            spent: entered[:spent] || plan.money.total.round(2),
            parts: entered[:used].said,
            look_over:,
            sets: entered[:sets],
            estimate: plan.money.said,
            day: entered[:day]
          }
        end
      end
    end
  end
end
