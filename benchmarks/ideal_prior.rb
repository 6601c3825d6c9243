# frozen_string_literal: true

require_relative "simulated_axle"

module Benchmarks
  # What a forecaster would believe that knows which regime an axle is of and how that regime is made: the reference for
  # sharpness and for how far "look again" can reach.
  module IdealPrior
    NEVER = 1e-9

    module_function

    def for(regime, prior)
      rotors = regime == :rotors
      part = rotors ? SimulatedAxle::ROTORS : SimulatedAxle::PADS
      prior.with(
        rate_mm_per_1000km: part.rate * 1000,
        rate_log_sd: Math.hypot(SimulatedAxle::RATE_LOG_SD, SimulatedAxle::SET_LOG_SD),
        set_log_sd: SimulatedAxle::SET_LOG_SD,
        deviation_log_sd: SimulatedAxle::DEVIATION_LOG_SD,
        increment_mm: part.increment_mm,
        kept_deviation: 0.0,
        drifts: [drift(regime)],
        **changes(regime, prior),
        **errors(regime, prior)
      )
    end

    def drift(regime)
      drifting = %i[drifting mixed single pair earlier].include?(regime)
      { share: 1.0, log_sd: drifting ? SimulatedAxle::DRIFT_LOG_SD : 1e-3, km: SimulatedAxle::DRIFT_KM }
    end

    # 70 % of the changes fall within a life, evenly: about 1.4 a life that has not yet had one.
    def changes(regime, prior)
      {
        axle_changes:
          [1, -1].map { |way| { per_life: regime == :jump ? 0.7 : NEVER, log_mean: way * 0.55, log_sd: 0.15 } },
        seizures: [{ per_life: regime == :seized ? 1.4 : NEVER, log_mean: 0.81, log_sd: 0.18, mate_log_sd: 0.12 }],
        coming_share: 1.0,
        odd_from_new: {
          share: NEVER,
          log_mean: 0.8,
          log_sd: 0.2
        },
        seizure_weights: prior.seizure_weights.keys.to_h { |name| [name, name.end_with?("inner") ? 0.5 : 0.0] }
      }
    end

    def errors(regime, prior)
      gross = regime == :gross
      {
        wrong: prior.wrong.merge(share: NEVER),
        wrong_service: {
          share: gross ? 0.17 : NEVER,
          sd_mm: 1.04
        },
        plate_service: {
          share: gross ? 0.08 : NEVER,
          sd_mm: 0.1,
          mm: 5.0
        }
      }
    end

    private_class_method :drift, :changes, :errors
  end
end
