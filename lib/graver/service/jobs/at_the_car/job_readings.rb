# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Readings in the middle of a job: readings and figures are logged at once, as one inspection per job and day;
      # figures stamped on a part go into the brake data; a new part's thickness waits for the end of the job, when it
      # is fitted.
      class JobReadings < JobEvents
        include Base::FieldErrors

        # The method for a new part at its step, unless another is given.
        AT_THE_STEP = "caliper"

        # given: { step:, odometer: { value:, unit:, keep: } or nil, readings: [...], conditions: [...] (as in a
        # inspection; all marks of each thing that is named), unmarked: [{ axle:, side:, face:, item: }] (of which no
        # mark holds any more), data: [{ axle:, key:, value:, unit: }], fitted: [{ axle:, part:, value:, unit: }] } ->
        # Storage::Job. Raises InvalidEntry by field, NotFound.
        def call(id, given)
          job = going(id)
          step(job, given[:step])
          plan = @plans.of_job(job)
          fitted = fitted(plan, given.fetch(:fitted, []))
          # all of it or nothing
          @store.transaction do
            data(given.fetch(:data, []))
            log(plan, job, given)
            fitted.each { |part| record(job, "new_part", part) }
          end
          @store.jobs.find(id)
        end

        private

        def log(plan, job, given)
          read = given.slice(:readings, :conditions).transform_values(&:to_a)
          return unmark(plan, job, given) if read.values.all?(&:empty?)

          title = JobTitle.of_job(@context.knowledge, job, plan.overview.vehicle.axles)
          Measuring::LogInspection.new(@context).on_the_way(
            plan.overview.vehicle.id,
            {
              readings: [],
              conditions: [],
              **read,
              unmarked: given[:unmarked].to_a,
              date: @context.today.iso8601,
              odometer: odometer(plan, job, given)
            },
            job_id: job.id,
            note: Message.of("jobs.measured", title:)
          )
        end

        # Removes marks tapped by mistake, if nothing else was entered.
        def unmark(plan, job, given)
          logging = Measuring::LogInspection.new(@context)
          begun = logging.begun(plan.overview.vehicle.id, job.id, @context.today) or return
          Measuring::ReadAgain.new(@context).unmark(begun, given[:unmarked].to_a)
        end

        # As it is given, or else as it was with the first reading of the day; higher if another inspection of the day
        # has it higher, as an odometer never runs back.
        def odometer(plan, job, given)
          vehicle_id = plan.overview.vehicle.id
          begun = Measuring::LogInspection.new(@context).begun(vehicle_id, job.id, @context.today)
          return given[:odometer] || { value: "" } if given[:odometer] || begun.nil?

          today = @store.inspections.of_vehicle(vehicle_id).select { |each| each.date == @context.today }
          highest = [begun, *today].max_by(&:odometer_km)
          { value: highest.odometer_value, unit: highest.odometer_unit, keep: true }
        end

        def data(rows)
          rows
            .group_by { |row| row[:axle] }
            .each do |axle_id, of_axle|
              entries = of_axle.map { |row| { **row.slice(:key, :value, :unit), source: "cast" } }
              Household::RecordBrakeData.new(@context).call(axle_id, entries)
            end
        rescue InvalidEntry => e
          raise e.under("data")
        end

        def fitted(plan, rows)
          @faults = []
          fits = FittedParts.of(plan)
          found = rows.each_with_index.filter_map { |row, at| under("fitted.#{at}") { one(fits, row) } }
          raise_faults
          found
        end

        def one(fits, row)
          fit = fits.find { |each| [each.file.axle.id, each.part] == row.values_at(:axle, :part) } or
            raise InvalidEntry.of("part", "unknown_item", Message.of("jobs.not_fitted"))
          {
            "part" => "#{row[:axle]}.#{row[:part]}",
            **FittedThickness.new(@context.knowledge).call(fit, { method: AT_THE_STEP, **row }).transform_keys(&:to_s)
          }
        end
      end
    end
  end
end
