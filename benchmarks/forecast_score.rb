# frozen_string_literal: true

require_relative "ideal_prior"
require_relative "simulated_axle"
require_relative "straight_line_life"

module Benchmarks
  # How the forecast does on simulated axles whose end is known: how often its bands hold the truth, its mean pinball
  # loss
  # as a ratio to the spreadsheet's straight line and to new-to-now, how often "look again" would have come too late,
  # and
  # how far it reaches compared with a forecaster that knows the regime.
  class ForecastScore
    BANDS = { "50%" => [0.25, 0.75], "80%" => [0.10, 0.90], "90%" => [0.05, 0.95] }.freeze
    HEADINGS = %w[line two-pt ideal].freeze

    # priors: { "pad" => Prior, "rotor" => Prior }
    def initialize(priors, look_again_chance, cases: 200, regimes: SimulatedAxle::REGIMES, ideal: true)
      @priors = priors
      @look_again_chance = look_again_chance
      @cases = cases
      @regimes = regimes
      @ideal = ideal
    end

    def print_to(out)
      out.puts format(
                 "%-10s %5s %5s %5s %5s   pinball to %5s %6s %6s   late  reach",
                 "regime",
                 "cases",
                 *BANDS.keys,
                 *HEADINGS
               )
      all = @regimes.map { |regime| score(regime).tap { |rows| line(out, regime, rows) } }
      line(out, "overall", all.flatten)
    end

    # -> [{ held:, losses:, late:, reach: }]
    def score(regime) = (1..@cases).map { |seed| row(regime, SimulatedAxle.new(regime, seed)) }

    private

    def row(regime, axle)
      prior = @priors.fetch(regime == :rotors ? "rotor" : "pad")
      ours, ideal =
        [prior, @ideal ? IdealPrior.for(regime, prior) : nil].map do |belief|
          belief && Graver::Core::Wear::Forecast.call(axle.history, belief).first
        end
      straight = StraightLineLife.call(axle.points, axle.as_of_km, axle.part.limit_mm)
      two_point = StraightLineLife.call(axle.points.values_at(0, -1), axle.as_of_km, axle.part.limit_mm)
      truth = axle.truth_km
      {
        held: BANDS.transform_values { |low, high| truth.between?(ours.quantile(low), ours.quantile(high)) },
        losses:
          [ours.quantiles, straight, two_point, (ideal || ours).quantiles].map do |quantiles|
            pinball(quantiles, truth)
          end,
        late: ours.quantile(@look_again_chance) > truth,
        reach: [ours, ideal || ours].map { |life| life.quantile(@look_again_chance) }
      }
    end

    def pinball(quantiles, truth)
      quantiles.sum { |probability, km| truth >= km ? probability * (truth - km) : (1 - probability) * (km - truth) }
    end

    def line(out, name, rows)
      held = BANDS.keys.map { |band| 100.0 * rows.count { |row| row[:held][band] } / rows.length }
      ours, *others = rows.map { |row| row[:losses] }.transpose.map(&:sum)
      reach, ideal = rows.map { |row| row[:reach] }.transpose.map(&:sum)
      out.puts format(
                 "%-10s %5d %4.0f%% %4.0f%% %4.0f%%              %5.2f %6.2f %6.2f  %4.1f%%   %4.2f",
                 name,
                 rows.length,
                 *held,
                 *others.map { |other| ours / other },
                 100.0 * rows.count { |row| row[:late] } / rows.length,
                 reach / ideal
               )
      out.flush
    end
  end
end
