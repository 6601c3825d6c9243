# frozen_string_literal: true

require_relative "simulated_log"
require_relative "ideal_knowledge"
require_relative "straight_line_life"

module Benchmarks
  # How the forecast does on simulated logs of several worlds whose end is known: how often its bands hold the truth,
  # its mean pinball loss as a ratio to the spreadsheet's straight line and to a forecaster that was told world and
  # regime (of distances, and of days), how often "look again" would have come too late, and how far it reaches compared
  # with that one.
  class ForecastScore
    BANDS = { "50%" => %w[p25 p75], "80%" => %w[p10 p90], "90%" => %w[p05 p95] }.freeze
    KEYS =
      Graver::Core::Wear::RemainingLife::PROBABILITIES
        .to_h { |chance| [format("p%02d", (chance * 100).round), chance] }
        .freeze
    HEAD = "%-10s %-9s %5s %5s %5s %5s   %5s %6s %5s   %6s %6s"
    LINE = "%-10s %-9s %5d %4.0f%% %4.0f%% %4.0f%%   %5.2f %6.2f %5.2f   %5.1f%% %6.2f"

    HEADING = <<~YAML
      # How often the forecast was right on simulated logs with a known end, as measured by `bin/bench forecast
      # --write`: shares of logs whose range held the truth; how often "look again" came too late; mean loss against a
      # spreadsheet's straight line.
    YAML

    def initialize(cases: 40, worlds: World::ALL, regimes: SimulatedLog::REGIMES, ideal: true)
      files = Graver::Knowledge::Files.new(Graver::Knowledge::Library::FOLDER)
      @contents = Graver::Knowledge::OwnFasteners.call(files.read)
      library = Graver::Knowledge::Library.load
      @ours = Graver::LogFormat::Forecaster.new(normalise: library.normalise, outlook: library.outlook)
      @cases = cases
      @worlds = worlds
      @regimes = regimes
      @ideal = ideal
    end

    # path: where the shares are kept too (knowledge/wear/calibration.yml), or nil
    def print_to(out, path = nil)
      all = @worlds.to_h { |world| [world.name, of_world(world)] }
      worst_first = all.sort_by { |_, rows| -ratio(rows.values.flatten, :line) }
      out.puts format(HEAD, "world", "regime", "cases", *BANDS.keys, "line", "ideal", "days", "late", "reach")
      worst_first.each { |name, rows| print_world(out, name, rows) }
      @regimes.each { |regime| line(out, "all", regime, all.values.flat_map { |rows| rows.fetch(regime) }) }
      line(out, "all", "all", all.values.flat_map { |rows| rows.values.flatten })
      write(path, all) if path
    end

    # { regime => [{ held:, ours:, line:, ideal:, days:, ideal_days:, late:, reach:, ideal_reach: }] }
    def of_world(world)
      @regimes.to_h { |regime| [regime, rows(world, regime)] }
    end

    private

    def write(path, all)
      rows = all.map { |name, of| kept(name, "world", of.values.flatten) }
      rows += @regimes.map { |regime| kept(regime, "regime", all.values.flat_map { |of| of.fetch(regime) }) }
      every = all.values.flat_map { |of| of.values.flatten }
      content = { "logs" => every.length, "rows" => [*rows, kept("all", "all", every)] }
      File.write(path, HEADING + content.to_yaml.delete_prefix("---\n"))
    end

    def kept(id, kind, rows)
      share = ->(&block) { rows.count(&block).fdiv(rows.length).round(3) }
      {
        "id" => id.to_s,
        "kind" => kind,
        "logs" => rows.length,
        "half" => share.call { |row| row[:held]["50%"] },
        "eight_in_ten" => share.call { |row| row[:held]["80%"] },
        "late" => share.call { |row| row[:late] },
        "to_line" => ratio(rows, :line).round(2)
      }
    end

    def rows(world, regime)
      ideal = @ideal ? IdealKnowledge.new(@contents, world, regime).forecaster : nil
      (1..@cases).map { |seed| row(SimulatedLog.new(world, regime, seed), ideal) }
    end

    def row(log, ideal)
      ours = answer(@ours, log)
      told = ideal ? answer(ideal, log) : ours
      straight =
        StraightLineLife.call(log.points, log.as_of_km, log.limit_mm).transform_keys { |chance| KEYS.key(chance) }
      truth = log.truth_km
      {
        held: BANDS.transform_values { |low, high| truth.between?(ours[:km][low], ours[:km][high]) },
        ours: pinball(ours[:km], truth),
        line: pinball(straight, truth),
        ideal: pinball(told[:km], truth),
        days: pinball(ours[:days], log.truth_days),
        ideal_days: pinball(told[:days], log.truth_days),
        late: ours[:reach] > truth,
        reach: ours[:reach],
        ideal_reach: told[:reach]
      }
    end

    # -> { km: and days: { "p05" => ..., ... } until the first component is at its limit, reach: where to look again }
    def answer(forecaster, log)
      axle = forecaster.call(log.csv, log.specification).document["axles"]["front"]
      found = axle[log.rotors? ? "first_rotor" : "first_pad"]
      km = found["distance_km"]
      days = found["date"].transform_values { |date| (Date.iso8601(date) - log.as_of).to_i }
      { km:, days:, reach: log.rotors? ? km["p05"] : axle["look_again_km"] }
    end

    def pinball(quantiles, truth)
      KEYS.sum do |key, chance|
        km = quantiles.fetch(key)
        truth >= km ? chance * (truth - km) : (1 - chance) * (km - truth)
      end
    end

    def ratio(rows, to, of = :ours) = rows.sum { |row| row[of] } / rows.sum { |row| row[to] }

    def print_world(out, name, rows)
      rows.each { |regime, found| line(out, name, regime, found) }
      line(out, name, "all", rows.values.flatten)
    end

    def line(out, world, regime, rows)
      held = BANDS.keys.map { |band| 100.0 * rows.count { |row| row[:held][band] } / rows.length }
      late = 100.0 * rows.count { |row| row[:late] } / rows.length
      reach = rows.sum { |row| row[:reach] } / rows.sum { |row| row[:ideal_reach] }
      ratios = [ratio(rows, :line), ratio(rows, :ideal), ratio(rows, :ideal_days, :days)]
      out.puts format(LINE, world, regime, rows.length, *held, *ratios, late, reach)
    end
  end
end
