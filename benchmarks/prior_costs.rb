# frozen_string_literal: true

require_relative "yardsticks"
require_relative "simulated_log"

module Benchmarks
  # What each figure of the prior costs if it is wrong by a factor of two either way: the loss as a ratio to the loss
  # with the figure as it is, in every world.
  class PriorCosts
    FIGURES = {
      "rate" => %w[rate_mm_per_1000km],
      "spread of rates" => %w[rate_log_sd],
      "spread of sets" => %w[set_log_sd],
      "spread of positions" => %w[deviation_log_sd],
      "unevenness" => %w[increment_mm],
      "axle changes" => %w[axle_changes * per_life],
      "their size" => %w[axle_changes * log_sd],
      "seizures" => %w[seizures * per_life],
      "their spread" => %w[seizures * log_sd],
      "spells" => %w[spells * per_life],
      "drift" => %w[drifts * log_sd],
      "wrong readings" => %w[wrong share],
      "wrong services" => %w[wrong_service share],
      "wrong new" => %w[wrong_new share],
      "unlogged" => %w[unlogged when_due],
      "replaced above" => %w[replaced above_mm]
    }.freeze
    FACTORS = [0.5, 2.0].freeze
    PADS = Regime::ALL.reject(&:rotors?).freeze

    def initialize(logs: 2, worlds: [*World::ALL, *World::ELSEWHERE], regimes: PADS)
      files = Graver::Knowledge::Files.new(Graver::Knowledge::Library::FOLDER)
      @contents = Graver::Knowledge::OwnFasteners.call(files.read)
      @worlds = worlds
      @logs = worlds.to_h { |world| [world, logs(world, regimes, logs)] }
    end

    def print_to(out)
      usual = losses(@contents)
      out.puts format("%-20s %5s %s", "figure", "times", @worlds.map { |world| format("%9s", world.name) }.join)
      FIGURES
        .to_a
        .product(FACTORS) do |(name, path), factor|
          given = losses(changed(path, factor))
          out.puts format(
                     "%-20s %5.1f %s",
                     name,
                     factor,
                     @worlds.map { |world| format("%9.3f", given[world] / usual[world]) }.join
                   )
        end
    end

    private

    def logs(world, regimes, count)
      regimes.product((1..count).to_a).map { |regime, seed| SimulatedLog.new(world, regime, seed) }
    end

    def losses(contents)
      library = Graver::Knowledge::Library.new(contents, lines: ->(*) { 1 })
      yardsticks = Yardsticks.new(library)
      prior = library.prior("pad")
      @logs.transform_values do |logs|
        logs.sum do |log|
          life = Graver::Core::Wear::Forecast.call(yardsticks.history(log), prior).first
          pinball(life, log.truth_km)
        end
      end
    end

    def pinball(life, truth)
      Yardsticks::PROBABILITIES.sum do |chance|
        km = life.quantile(chance)
        truth >= km ? chance * (truth - km) : (1 - chance) * (km - truth)
      end
    end

    def changed(path, factor)
      priors = Marshal.load(Marshal.dump(@contents.fetch("wear/priors.yml")))
      scale(priors.fetch("pad"), path, factor)
      @contents.merge("wear/priors.yml" => priors)
    end

    def scale(content, path, factor)
      first, *rest = path
      return content.each { |each| scale(each, rest, factor) } if first == "*"
      return scale(content.fetch(first), rest, factor) if rest.any?

      content[first] = content.fetch(first) * factor
    end
  end
end
