# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # Stores each forecast with the inspection it followed, and compares it with what happened.
      class RecordForecasts
        # The number of newest inspections per axle; those of an import are calculated later, from what was known then.
        MOST = 8
        # given: Storage::ForecastGiven; verdict: Core::Wear::Backtest::Verdict
        Scored = Core::Value.define(:given, :verdict)

        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
        end

        # Stores the missing forecasts of a vehicle's axles. Raises NotFound.
        def keep_of(vehicle_id)
          keep(Household::AxleRecords.new(@context).of_vehicle(vehicle_id))
        end

        # Stores the missing forecasts of these files.
        def keep(files)
          files.each do |file|
            known = @store.forecasts_given.of_axles([file.axle.id]).fetch(file.axle.id, []).map(&:inspection_id)
            read =
              file.inspections.select do |inspection|
                inspection.readings.any? { |row| row.axle_id == file.axle.id && row.part == "pad" }
              end
            read
              .last(MOST)
              .reject { |inspection| known.include?(inspection.id) }
              .each { |inspection| keep_one(file, inspection) }
          end
        end

        # AxleRecord -> [Scored], the newest first
        def scored(file)
          given = @store.forecasts_given.of_axles([file.axle.id]).fetch(file.axle.id, [])
          given.reverse.filter_map { |forecast| verdict(file, forecast) }
        end

        # The forecast from what was known at an inspection; today's is the one on every screen.
        def at(file, inspection)
          if inspection.date == @context.today && inspection == file.inspections.last
            return Household::AxleAnswer.new(@context).call(file)
          end

          entries =
            file.entries.select { |entry| entry.date <= inspection.date && entry.odometer_km <= inspection.odometer_km }
          # Calculated once and not cached: only the stored figures are needed.
          @knowledge.outlook.call(
            entries:,
            beside: file.beside(until_day: inspection.date),
            specifications: file.specifications,
            as_of_date: inspection.date,
            as_of_km: inspection.odometer_km,
            driving: driving(file, inspection.date),
            costs: Household::ScheduleChoices.new(@context).look_costs
          )
        end

        # How many forecasts with a known end held, over several axles: { known:, covered:, late: }
        def self.calibration(scored)
          known = scored.reject { |each| each.verdict.interval_covered.nil? }
          {
            known: known.length,
            covered: known.count { |each| each.verdict.interval_covered },
            late: known.count { |each| each.verdict.late }
          }
        end

        private

        # As it was known that day.
        def driving(file, day)
          @knowledge.outlook.driving(file.odometer.select { |date, _| date <= day }, file.vehicle.kind)
        end

        def keep_one(file, inspection)
          answer = at(file, inspection)
          return unless answer.pads&.observed&.positive?

          @store.transaction do
            @store.forecasts_given.keep(
              axle_id: file.axle.id,
              inspection_id: inspection.id,
              given_on: inspection.date,
              as_of_km: inspection.odometer_km,
              limit_mm: answer.pads.limit_mm,
              quantiles: answer.pads.first.quantiles,
              look_again_km: answer.look_again_km,
              afterwards: inspection.date != @context.today,
              at: @context.now
            )
          end
        end

        # Scored against the set that was on then; the one that is on now ends where it was last read.
        def verdict(file, forecast)
          sets = sets(file, forecast.limit_mm)
          at =
            sets.index do |set|
              forecast.as_of_km.between?(set[:from] - 1, set[:upto] + 1) &&
                (set == sets.last || forecast.as_of_km < set[:upto])
            end or return
          replaced = at < sets.length - 1
          ending = Core::Wear::Backtest.end_of(sets[at][:set], forecast.limit_mm, sets[at][:upto], replaced:)
          verdict = Core::Wear::Backtest.judge(forecast.quantiles, forecast.look_again_km, forecast.as_of_km, ending)
          verdict && Scored.new(given: forecast, verdict:)
        end

        # Each set with the distances where it was fitted and last known to be on.
        def sets(file, limit_mm)
          history =
            @knowledge.history_builder.call(file.entries, file.specifications(limit_mm:).fetch("pad"), as_of_km: 0.0)
          starts =
            history.sets.map do |set|
              set.values.filter_map { |fitting| fitting.fitted_km || fitting.observations.first&.distance_km }.min ||
                0.0
            end
          history.sets.each_with_index.map do |set, at|
            last = set.values.flat_map { |fitting| fitting.observations.map(&:distance_km) }.max || starts[at]
            { set:, from: starts[at], upto: starts[at + 1] || last }
          end
        end
      end
    end
  end
end
