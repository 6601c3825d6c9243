# frozen_string_literal: true

require "graver/core/wear/forecast"
require_relative "simulated_axle"
require_relative "straight_line_life"

module Bench
  # How the forecast does on simulated axles whose end is known: how often its bands hold, its mean pinball loss as a
  # ratio to the spreadsheet's straight line, and how often "look again" would have come too late.
  class ForecastScore
    BANDS = { "50%" => [0.25, 0.75], "80%" => [0.10, 0.90], "90%" => [0.05, 0.95] }.freeze

    def initialize(prior, look_again_chance, cases: 150)
      @prior = prior
      @look_again_chance = look_again_chance
      @cases = cases
    end

    def print_to(out)
      out.puts format("%-10s %5s %6s %6s %6s %9s %6s", "regime", "cases", *BANDS.keys, "pinball", "late")
      all = SimulatedAxle::REGIMES.map { |regime| score(regime).tap { |rows| line(out, regime, rows) } }
      line(out, "overall", all.flatten)
    end

    private

    def score(regime)
      (1..@cases).map do |seed|
        axle = SimulatedAxle.new(regime, seed)
        history = Graver::Core::Wear::History.new(sets: [axle.set], limit_mm: SimulatedAxle::LIMIT_MM, as_of_km: axle.as_of_km, freed_km: [])
        life = Graver::Core::Wear::Forecast.call(history, @prior).first
        straight = StraightLineLife.call(axle.points, axle.as_of_km, SimulatedAxle::LIMIT_MM)
        row(axle.truth_km, life, straight)
      end
    end

    def row(truth, life, straight)
      { held: BANDS.transform_values { |low, high| truth.between?(life.quantile(low), life.quantile(high)) },
        ours: pinball(life.quantiles, truth), theirs: pinball(straight, truth), late: life.quantile(@look_again_chance) > truth }
    end

    def pinball(quantiles, truth)
      quantiles.sum { |probability, km| truth >= km ? probability * (truth - km) : (1 - probability) * (km - truth) }
    end

    def line(out, name, rows)
      held = BANDS.keys.map { |band| 100.0 * rows.count { |row| row[:held][band] } / rows.length }
      ratio = rows.sum { |row| row[:ours] } / rows.sum { |row| row[:theirs] }
      out.puts format("%-10s %5d %5.0f%% %5.0f%% %5.0f%% %9.2f %5.1f%%", name, rows.length, *held, ratio, 100.0 * rows.count { |row| row[:late] } / rows.length)
    end
  end
end
