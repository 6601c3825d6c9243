# frozen_string_literal: true

require_relative "owner_log"

module Benchmarks
  # What owners do next: by hand, by Graver, and by somebody who is told how thick the pads are and how fast they wear,
  # but not what the future brings. Each rule is given the log, where the odometer is, the days and the truth, and
  # answers { km: where to go, job: whether the pads are renewed there }.
  module OwnerRules
    # By hand pads are renewed when a line says that so little is left.
    NEAR_KM = 1000.0
    LEAST_KM = 300.0
    LOOKED_AT = 0.05
    # New pads are looked at first after so far, by hand.
    FIRST_KM = 10_000.0
    # Over which somebody who knows sees how fast they wear.
    LATELY_KM = 3000.0

    module_function

    # { name => rule }
    def all
      {
        "once a year" => ->(_log, km, _days, _life) { { km: km + 1e6 } },
        "every 10,000 km" => ->(_log, km, _days, _life) { { km: km + 10_000 } },
        **[0.5, 0.65, 0.8].to_h do |share|
          ["#{share} of the straight line", ->(log, km, _, _) { line(log, km, share) }]
        end,
        "Graver, 5 % chance" => graver { |found, _| chance(found) },
        **[300, 700, 1500].to_h { |km| ["Graver, inspection worth #{km} km", graver { |found, _| cost(found, km) }] },
        "told today's truth" => ->(log, km, _days, life) { told(log, km, life) }
      }
    end

    def line(log, km, share)
      return { km: km + FIRST_KM } if log.services.empty?

      fit = Graver::Core::Wear::StraightLine.fit(log.points)
      left = [(fit.reaches(log.limit_mm) || (km + 50_000)) - km, 0.0].max
      left < NEAR_KM ? { km: km + LEAST_KM, job: true } : { km: km + [left * share, LEAST_KM].max }
    end

    def graver(&rule)
      library = Graver::Knowledge::Library.load
      part =
        lambda do |log|
          Graver::Core::Wear::PartSpecification.new(
            part: "pad",
            components: SimulatedAxle::PADS,
            new_mm: log.new_mm,
            limit_mm: log.limit_mm,
            backing_mm: 5.0,
            backing_uncertainty_mm: nil
          )
        end
      lambda do |log, km, _days, _life|
        history = library.history_builder.call(log.entries, part[log], as_of_km: km)
        yield(Graver::Core::Wear::Forecast.call(history, library.prior("pad")), log).then do |found|
          { **found, km: km + found[:km] }
        end
      end
    end

    # The rule until now.
    def chance(found)
      return { km: LEAST_KM, job: true } if found.first.quantile(0.1) < NEAR_KM

      { km: [found.first.quantile(LOOKED_AT), LEAST_KM].max }
    end

    def cost(found, inspection_km)
      costs =
        Graver::Core::Schedule::NextLook::Costs.new(
          inspection_km:,
          saved_mm: 0.25,
          grave: [[1.5, 5], [0.5, 40]],
          reading_mm: 0.12
        )
      decision = Graver::Core::Schedule::NextLook.call(found.futures, costs)
      { km: decision.next_km, job: !decision.look_first || decision.job_km < decision.look_km }
    end

    # Half-way steps are of no use to somebody who knows: one inspection when it is due, unless a pin seizes meanwhile.
    def told(log, km, life)
      left = life.mm.keys.map { |name| left_km(log, life, name, km) }.min
      left < NEAR_KM ? { km: km + left, job: true } : { km: km + (left * 0.9) }
    end

    def left_km(log, life, name, km)
      from = [km - LATELY_KM, life.fitted_km].max
      return left_km(log, life, name, km + LATELY_KM) if km - from < 1

      now, before = life.thickness(name, km), life.thickness(name, from)
      [now - log.limit_mm, 0.0].max / [(before - now) / (km - from), 1e-6].max
    end
  end
end
