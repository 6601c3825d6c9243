# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Finishes a job: logs its work as a separate inspection (new parts, marks dealt with, fluid renewed), ends the
      # old sets there, and stores the result as planned and as done.
      class FinishJob < JobEvents
        include Base::FieldErrors

        HOURS = (0.1..200)
        MONEY = (0..1_000_000)

        # given: { date: ISO day or nil, odometer: { value:, unit:, keep: }, fitted: [{ axle:, part:, value:, unit: }],
        # hours:, spent:, do_not_drive: together, but not to be driven } -> Storage::Job. Raises InvalidEntry with every
        # fault by field, NotFound.
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
          gone = answered_symptoms(plan, given)
          stops = plan.stops | still_there(plan, gone, given)
          undriven = stops.empty? ? [Message.of("jobs.not_tried")] : stops
          road = job.basis.nil? || job.basis.fetch("road")
          parked = given[:do_not_drive] || stops.any? || !road
          refuse_open(plan, job, parked:)
          refuse_to_drive(stops, road:) unless given[:do_not_drive]
          refuse_apart(job, parked:)
          entered = entered(plan, given, gone)
          log = @store.inspections.add(**entered.delete(:inspection), **written(plan, job))
          entered[:used].take
          entered[:sizes].each { |fit, row| keep_size(fit, row) }
          record(
            job,
            "finished",
            { **closed(plan, entered, log), do_not_drive: given[:do_not_drive] ? undriven : nil }.compact
          )
          Apart.new(@context).close(job, Message.of("jobs.together_again"))
          close_noticed(plan, gone)
          leave_open(
            plan,
            given[:follow_ups].to_a + bed_in_left(plan, job) + (given[:do_not_drive] ? to_order(plan, undriven) : [])
          )
          plan
        end

        # Closes follow-ups of symptoms that are gone.
        def close_noticed(plan, gone)
          ends = Household::FollowUps.new(@context)
          about = gone.map { |id| "#{Overview::Noticed::ABOUT}#{id}" }
          open = plan.overview.follow_ups.select { |each| each.open? && about.include?(each.about) }
          open.each { |each| ends.close(each.id, Message.of("jobs.symptom_gone_since")) }
        end

        # A bed-in that is not finished stays with the vehicle.
        def bed_in_left(plan, job)
          left = plan.ordered.placed.select { |placed| placed.step.beds_in }
          left = left.reject { |placed| job.done.include?(placed.key) }
          left.map do |placed|
            said = plan.wording(@context.knowledge).trade(placed.step.text)
            Message.of("jobs.bed_in_open", step: said)[0, Household::FollowUps::LONGEST]
          end
        end

        # Leaves findings on the vehicle that the job did not deal with.
        def leave_open(plan, texts)
          ends = Household::FollowUps.new(@context)
          texts.each_with_index do |text, at|
            next if text.strip.empty?

            ends.add(plan.overview.vehicle.id, { text: })
          rescue InvalidEntry => e
            raise e.under("follow_ups.#{at}")
          end
        end

        def written(plan, job)
          title = JobTitle.of_job(@context.knowledge, job, plan.overview.vehicle.axles)
          { note: "Job: #{title}", at: @context.now, done_by: @context.person, job_id: job.id }
        end

        # Every symptom that stood is asked about after the first stops; a vehicle that isn't driven can't tell ->
        # ids of those that are gone
        def answered_symptoms(plan, given)
          @unsaid = []
          return [] if given[:do_not_drive]

          said = given[:symptoms].to_a.to_h { |each| [each[:id], each[:gone]] }
          open = plan.symptoms.reject { |seen| said.key?(seen.mark.id) }
          faults =
            open.map do |seen|
              message = Message.of("jobs.symptom_gone", symptom: seen.mark.label)
              InvalidEntry::FieldError.new(field: "symptoms.#{seen.mark.id}", code: "missing", message:)
            end
          @unsaid = faults + SymptomGone.new(plan).faults(said)
          said.select { |_, gone| gone }.keys
        end

        # A symptom that forbids to drive does so until it is gone.
        def still_there(plan, gone, given)
          said = given[:symptoms].to_a.map { |each| each[:id] } - gone
          plan
            .symptoms
            .select { |seen| seen.severity == "stop" && said.include?(seen.mark.id) }
            .map { |seen| [Typography.sentence(seen.text), seen.caution].compact.join(" ") }
        end

        # What forbids driving, and what to buy for it, one line each.
        def to_order(plan, stops)
          buy = @plans.missing(plan)
          stops.map { |text| Message.of("jobs.not_driven", because: text)[0, Household::FollowUps::LONGEST] } +
            (buy.any? ? [Message.of("jobs.order_these", parts: buy.join(", "))] : [])
        end

        # While anything says that the vehicle is not driven, a job ends only by saying that it isn't.
        def refuse_to_drive(stops, road:)
          return if stops.empty? && road

          reasons = stops.empty? ? Message.of("jobs.not_tried") : stops.join(" ")
          raise InvalidEntry.of("do_not_drive", "missing", Message.of("jobs.finish_undriven", reasons:))
        end

        # Rejects a finish while a mandatory step before the follow-up is open, a verdict says no, or a part is off.
        # parked: the vehicle is not driven.
        def refuse_open(plan, job, parked:)
          raise InvalidEntry.of("state", "no_order", Message.of("jobs.no_order")) unless plan.ordered.placed&.any?
          raise InvalidEntry.of("state", "replan", plan.halts.map(&:text).join(" ")) if plan.halts.any?

          stages = @context.knowledge.procedure.stages.map(&:id) - ["afterwards", *("road" if parked)]
          open = Jobs::Steps.new(@context.knowledge).progress(plan.ordered, job.done).open_mandatory(stages)
          faults = open.map { |each| unfinished(each.key, OrderFaults.named(each)) } + loose(plan, job)
          raise InvalidEntry, faults if faults.any?
        end

        def refuse_apart(job, parked:)
          left = job.apart.reject { |place| parked && place.first == Core::Planning::BrakeState::UNTRIED }
          return if left.empty?

          places = Overview::ApartBrakes.said(@context.knowledge, left).join(". ")
          raise InvalidEntry.of("state", "mandatory_open", Message.of("jobs.still_apart", places:))
        end

        def unfinished(key, message)
          InvalidEntry::FieldError.new(field: "steps.#{key}", code: "mandatory_open", message:)
        end

        # Bolts that were last tightened too little, or loosened again.
        def loose(plan, job)
          left = job.torques.select { |entry| %w[under undone].include?(entry["verdict"]) }
          left.filter_map do |entry|
            line =
              plan.torque.map(&:line).find { |each| [each.axle, each.fastener] == entry.values_at("axle", "fastener") }
            next unless line

            unfinished(entry["step"], Message.of("torque.loose", label: line.label.downcase, bolt: entry["bolt"]))
          end
        end

        def entered(plan, given, gone)
          @faults = []
          stamp = stamp(plan, given)
          refuse_before_start(plan.job, stamp)
          outcome = JobOutcome.new(@context, plan, gone:)
          fits =
            FittedParts
              .of(plan)
              .map do |fit|
                fit_row(
                  fit,
                  given[:fitted].to_a.find { |each| each.values_at(:axle, :part) == [fit.file.axle.id, fit.part] }
                )
              end
          hours = optional("hours", given[:hours], HOURS)
          spent = optional("spent", given[:spent], MONEY)
          @faults.concat(@unsaid)
          raise_faults

          readings = fits.flat_map { |fit, row| rows(fit, row) } + outcome.answered
          {
            inspection: {
              vehicle_id: plan.overview.vehicle.id,
              date: stamp.date,
              odometer: stamp.odometer,
              readings:
            },
            used: UsedSupplies.new(@context).call(plan),
            sizes: fits.select { |fit, row| row && fit.event == "fit" },
            hours:,
            spent:,
            sets: outcome.ended(stamp.odometer_km),
            day: stamp.date.iso8601
          }
        end

        def refuse_before_start(job, stamp)
          return if stamp.nil? || job.started_on.nil? || stamp.date >= job.started_on

          @faults << InvalidEntry::FieldError.new(
            field: "date",
            code: "out_of_range",
            message: Message.of("jobs.before_start")
          )
        end

        def stamp(plan, given)
          asked = { date: given[:date] || @context.today.iso8601, odometer: given[:odometer] || {} }
          Measuring::ServiceDate.new(@context, plan.overview.vehicle, plan.overview.inspections, asked).settled(
            asking: true
          )
        rescue InvalidEntry => e
          @faults.concat(e.faults)
          nil
        end

        # -> [FittedParts::Fit, { value:, unit: } or nil]
        def fit_row(fit, given)
          field = "fitted.#{fit.file.axle.id}.#{fit.part}"
          return fit, nil unless given && !given[:value].to_s.strip.empty?

          under(field) { [fit, FittedThickness.new(@context.knowledge).call(fit, given)] } || [fit, nil]
        end

        # A new part's size becomes the axle's new-part size: sheet, card and shares use it.
        def keep_size(fit, row)
          key = FittedParts.new_size(fit.file, fit.part)
          known = fit.file.data[key]
          return if known && known.to_h.values_at(:value, :unit) == row.values_at(:value, :unit)

          source = row[:method] == FittedThickness::SOLD ? "parts_counter" : "measured"
          entry = { key:, **row.slice(:value, :unit), source:, chosen: false }
          @store.brake_data.add(fit.file.axle.id, [entry], at: @context.now)
        end

        # A new set is one row for the axle; a turned rotor is one for each side.
        def rows(fit, entered)
          row = { axle_id: fit.file.axle.id, part: fit.part, event: fit.event, **entered.to_h }
          fit.event == "fit" ? [row] : fit.sides.map { |side| row.merge(side:) }
        end

        def optional(field, text, range)
          return if text.to_s.strip.empty?

          under(field) do
            value = Core::Quantity::EnteredNumber.parse(text).value.to_f
            unless range.cover?(value)
              raise(
                InvalidEntry.of("", "out_of_range", Message.of("faults.between", least: range.min, most: range.max))
              )
            end
            value
          end
        end

        # The prices of the fitted parts.
        def prices(plan)
          plan
            .parts
            .select { |part| part.chosen && part.price }
            .map do |part|
              { axle: part.line.axle, part: part.line.label, name: part.chosen.name, price: part.price.to_f.round(2) }
            end
        end

        def closed(plan, entered, inspection)
          {
            hours: entered[:hours],
            spent: entered[:spent] || plan.money.total.round(2),
            entered: !entered[:spent].nil?,
            prices: prices(plan),
            parts: entered[:used].said,
            inspection:,
            sets: entered[:sets],
            estimate: plan.money.said,
            fasteners: KeptFasteners.new(@context.knowledge).entry(plan),
            day: entered[:day]
          }
        end
      end
    end
  end
end
