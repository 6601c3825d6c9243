# frozen_string_literal: true

require_relative "simulated_log"
require_relative "ideal_knowledge"

module Benchmarks
  # How far "look again" can reach at most without being late too often: of this forecast, of one told world and regime
  # ("told"), and of one that is told the world but not which regime an axle is in ("oracle_bound"): the told ones of
  # all regimes, each weighed by how well it explains what was read (Bayes' rule, all regimes alike at first). What the
  # last cannot reach, no one can who reads the same log.
  class Untold
    REGIMES = Regime::ALL.first(8).freeze
    CHANCES = [0.005, 0.01, 0.02, 0.03, 0.05, 0.08, 0.12].freeze
    USUAL = 0.05
    WHO = %i[ours told oracle_bound].freeze
    LINE = "%-7s %5.1f %%   %5.2f   %5.1f %%   %5.1f %%   %5.1f %%"

    def initialize(cases: 40, worlds: World::ALL)
      files = Graver::Knowledge::Files.new(Graver::Knowledge::Library::FOLDER)
      @contents = Graver::Knowledge::OwnFasteners.call(files.read)
      @ours = Graver::Knowledge::Library.load
      @cases = cases
      @worlds = worlds
    end

    def print_to(out)
      rows = @worlds.flat_map { |world| of_world(world) }
      told = rows.sum { |row| row[:told][USUAL] }
      out.puts "#{rows.length} logs of pads, #{@worlds.length} worlds; reach as a share of what is told at 5 %"
      out.puts "look at a chance of   reach      late   seized     jump"
      WHO.product(CHANCES) { |who, chance| out.puts line(rows, told, who, chance) }
    end

    private

    def line(rows, told, who, chance)
      late = ->(of) { 100.0 * of.count { |row| row[who][chance] > row[:truth_km] } / of.length }
      regimes = %i[seized jump].map { |regime| rows.select { |row| row[:regime].name == regime } }
      reach = rows.sum { |row| row[who][chance] } / told
      format(LINE, who, chance * 100, reach, *[rows, *regimes].map(&late))
    end

    def of_world(world)
      told = REGIMES.to_h { |regime| [regime, IdealKnowledge.new(@contents, world, regime).library] }
      REGIMES.product((1..@cases).to_a).map { |regime, seed| row(SimulatedLog.new(world, regime, seed), regime, told) }
    end

    def row(log, regime, told)
      each = told.transform_values { |library| believed(library, log) }
      {
        regime:,
        truth_km: log.truth_km,
        ours: at_chances([believed(@ours, log)]),
        told: at_chances([each.fetch(regime)]),
        oracle_bound: at_chances(each.values)
      }
    end

    # -> { evidence: logarithm of how well what was read is explained, lives_km: [km], each as likely }
    def believed(library, log)
      specification = Graver::LogFormat::Specification.parse(log.specification)
      entries = Graver::LogFormat::LogReader.new(library.normalise, specification).call(log.csv).by_axle.fetch("front")
      part = specification.parts("front", %w[left right]).fetch("pad")
      history = library.history_builder.call(entries, part, as_of_km: log.as_of_km)
      prior = library.prior("pad")
      hypotheses = Graver::Core::Wear::AxleFilter.new(history, prior).hypotheses
      futures = Graver::Core::Wear::LifeSimulation.of(hypotheses, prior, history.limit_mm, history.sets.last.keys)
      { evidence: log_sum(hypotheses.log_weight.to_a), lives_km: futures.first_km.to_a }
    end

    def log_sum(values) = values.max + Math.log(values.sum { |value| Math.exp(value - values.max) })

    # Quantiles of all of them together, each by its evidence -> { chance => km }
    def at_chances(each)
      top = each.map { |one| one[:evidence] }.max
      weights = each.map { |one| Math.exp(one[:evidence] - top) }
      points =
        each
          .zip(weights)
          .flat_map { |one, weight| one[:lives_km].map { |km| [km, weight / one[:lives_km].length] } }
          .sort_by(&:first)
      CHANCES.to_h { |chance| [chance, quantile(points, chance * weights.sum)] }
    end

    def quantile(points, mass)
      points.each { |km, weight| return km if (mass -= weight) <= 0 }
      points.last.first
    end
  end
end
