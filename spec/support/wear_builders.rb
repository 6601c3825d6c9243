# frozen_string_literal: true

# Short ways to put a wear history together.
module WearBuilders
  Wear = Graver::Core::Wear
  Thickness = Graver::Core::Measurement::Thickness

  def read(distance_km, value_mm, sd_mm = 0.15, trust: 1.0, ref: nil)
    Wear::Observation.new(distance_km:, thickness: Thickness.point(value_mm, sd_mm), trust:, ref:)
  end

  def between(distance_km, lower_mm, upper_mm)
    Wear::Observation.new(
      distance_km:,
      thickness: Thickness.interval(lower_mm, upper_mm, edge_mm: 0.2),
      trust: 1.0,
      ref: nil
    )
  end

  def fitted(*observations, at: 0.0, new_mm: 11.0, sd_mm: 0.15)
    Wear::Fitting.new(fitted_km: at, new: Thickness.point(new_mm, sd_mm), observations:)
  end

  def history(set, as_of_km:, limit_mm: 3.0, earlier: [], freed: [], movements: [])
    Wear::History.new(sets: [*earlier, set], limit_mm:, as_of_km:, freed:, movements:)
  end

  # The same beliefs about a world without drift, changes or wrong readings.
  def self.without_surprises(prior)
    never = { share: 0.0, sd_mm: 1.0 }
    prior.with(
      errors: [{ share: 1.0, times: 1.0 }],
      drifts: [{ share: 1.0, log_sd: 1e-6, km: 20_000 }],
      trends: [{ share: 1.0, per_life: 0.0 }],
      axle_changes: [],
      seizures: [],
      odd_from_new: prior.odd_from_new.merge(share: 0.0),
      spells: [],
      replaced: prior.replaced.merge(sd_mm: 1000.0),
      unlogged: {
        share: 1e-12,
        when_due: 0.0
      },
      wrong_new: never,
      wrong: never,
      wrong_service: never,
      plate_service: {
        **never,
        mm: nil
      },
      lip_service: prior.lip_service.merge(share: 0.0)
    )
  end

  # -> AxleFilter; with: Prior
  def follow(set, as_of_km:, with: KNOWLEDGE.prior("pad"), **more)
    Wear::AxleFilter.new(history(set, as_of_km:, **more), with)
  end

  # Mean and spread of the logarithm of a component's rate, over all hypotheses; in mm per 1,000 km.
  def rate(filter, component)
    bank = filter.hypotheses
    rows = [0, 1, bank.deviation(component)]
    mean = rows.sum { |row| bank.mean[row, true] }
    variance = rows.product(rows).sum { |one, other| bank.covariance[one, other, true] }
    middle = (mean * bank.weights).sum
    [1000 * Math.exp(middle), Math.sqrt(((variance + ((mean - middle)**2)) * bank.weights).sum)]
  end

  def forecast(...) = Wear::Forecast.call(history(...), KNOWLEDGE.prior("pad"))
end
