# frozen_string_literal: true

require_relative "simulated_log"
require_relative "yardsticks"

module Benchmarks
  # How far a tenth of a millimetre on any one reading of a pad moves the forecast (a fiftieth on one of a rotor, which
  # has a fifth as much to lose): with enough stories kept, hardly at all.
  class Stability
    MOVED_MM = { "pad" => 0.1, "rotor" => 0.02 }.freeze
    LOGS = 2
    BELOW = 0.1
    # Distances are compared from this on, km: nearer to its end a share of what is left says nothing.
    LEAST_KM = 2000.0

    def initialize(logs: LOGS, worlds: World::ALL, regimes: Regime::ALL)
      @library = Graver::Knowledge::Library.load
      @yardsticks = Yardsticks.new(@library)
      @logs = worlds.product(regimes, (1..logs).to_a)
    end

    def print_to(out)
      moves = @logs.flat_map { |of| moves(SimulatedLog.new(*of)) }.sort
      calm = moves.count { |move| move < BELOW }.fdiv(moves.length)
      out.puts format(
                 "%d readings of %d logs moved a little: median moves by under 10 %% in %.1f %%, at most %.0f %%",
                 moves.length,
                 @logs.length,
                 calm * 100,
                 moves.last * 100
               )
    end

    # Shares by which the median moves, for every reading of the set that is on, up and down.
    def moves(log)
      history = @yardsticks.history(log)
      prior = @library.prior(log.part)
      before = median(history, prior) or return []
      variants(history, MOVED_MM.fetch(log.part)).map { |other| (median(other, prior) / before) - 1 }.map(&:abs)
    end

    private

    def median(history, prior)
      Graver::Core::Wear::Forecast.call(history, prior)&.then { |found| found.first.quantile(0.5) + LEAST_KM }
    end

    def variants(history, by_mm)
      history.sets.last.flat_map do |name, fitting|
        fitting
          .observations
          .each_index
          .to_a
          .product([-by_mm, by_mm])
          .filter_map do |at, by|
            moved = moved(fitting.observations[at], by) or next
            kept = fitting.observations.dup.tap { |list| list[at] = moved }
            history.with(
              sets: [*history.sets[0...-1], history.sets.last.merge(name => fitting.with(observations: kept))]
            )
          end
      end
    end

    def moved(observation, by)
      thickness = observation.thickness
      return if thickness.interval? || (thickness.value_mm + by).negative?

      observation.with(thickness: thickness.with(value_mm: thickness.value_mm + by))
    end
  end
end
