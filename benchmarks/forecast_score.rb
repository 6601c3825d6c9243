# frozen_string_literal: true

require_relative "ideal_knowledge"
require_relative "simulated_log"
require_relative "yardsticks"

module Benchmarks
  # How the forecast does on simulated logs of several worlds whose end is known: how often its ranges hold the truth;
  # its mean pinball loss as a ratio to the spreadsheet's straight line, to a plain particle filter (with the standard
  # error of the paired difference), to the lives of earlier sets, and to a forecaster that was told world and regime
  # (of distances, and of days); how often its 5 % end came too late, and how far that reaches compared with the told
  # one; and how often "look again" came too late.
  class ForecastScore
    BANDS = { "50%" => %w[p25 p75], "80%" => %w[p10 p90], "90%" => %w[p05 p95] }.freeze
    KEYS = Yardsticks::PROBABILITIES.to_h { |chance| [format("p%02d", (chance * 100).round), chance] }.freeze
    HEAD = "%-9s %-10s %5s %4s %4s %4s  %5s %11s %5s %5s %5s  %6s %5s %6s"
    LINE = "%-9s %-10s %5d %3.0f%% %3.0f%% %3.0f%%  %5.2f %5.2f ± %3.2f %5s %5.2f %5.2f  %5.1f%% %5.2f %5.1f%%"
    HEADINGS = ["world", "regime", "logs", *BANDS.keys, "line", "filter", "own", "ideal", "days"].freeze
    LATER = %w[late reach look].freeze

    HEADING = <<~YAML
      # How often the forecast was right on simulated logs with a known end, as measured by `bin/bench forecast
      # --write`: shares of logs whose range held the truth; how often "look again" came too late; mean loss against a
      # spreadsheet's straight line.
    YAML

    def initialize(cases: 12, worlds: [*World::ALL, *World::ELSEWHERE], regimes: Regime::ALL, first: 1)
      files = Graver::Knowledge::Files.new(Graver::Knowledge::Library::FOLDER)
      @contents = Graver::Knowledge::OwnFasteners.call(files.read)
      library = Graver::Knowledge::Library.load
      @ours = Graver::LogFormat::Forecaster.new(normalise: library.normalise, outlook: library.outlook)
      @yardsticks = Yardsticks.new(library)
      @seeds = first...(first + cases)
      @worlds = worlds
      @regimes = regimes
    end

    # path: where the shares are kept too (knowledge/wear/calibration.yml), or nil
    def print_to(out, path = nil)
      rows = @worlds.flat_map { |world| @regimes.flat_map { |regime| of(world, regime) } }
      out.puts format(HEAD, *HEADINGS, *LATER)
      rows.group_by { |row| row[:world] }.each { |world, mine| out.puts line(world, "all", mine) }
      rows.group_by { |row| row[:regime] }.each { |regime, mine| out.puts line("all", regime, mine) }
      out.puts line("all", "all", rows)
      write(path, rows) if path
    end

    # -> [{ world:, regime:, held:, ours:, line:, filter:, own:, ideal:, days:, ideal_days:, late:, reach:,
    # ideal_reach:, look_late: }]
    def of(world, regime)
      ideal = IdealKnowledge.new(@contents, world, regime).forecaster
      @seeds.map do |seed|
        row(SimulatedLog.new(world, regime, seed), ideal, seed).merge(world: world.name, regime: regime.name)
      end
    end

    private

    def write(path, rows)
      each = rows.group_by { |row| row[:world] }.map { |name, of| kept(name, "world", of) }
      each += rows.group_by { |row| row[:regime] }.map { |name, of| kept(name, "regime", of) }
      content = { "logs" => rows.length, "rows" => [*each, kept("all", "all", rows)] }
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
        "late" => share.call { |row| row[:look_late] },
        "to_line" => ratio(rows, :line).round(2)
      }
    end

    def row(log, ideal, seed)
      ours, told = answer(@ours, log), answer(ideal, log)
      truth = log.truth_km
      {
        held: BANDS.transform_values { |low, high| truth.between?(ours[:km][low], ours[:km][high]) },
        ours: pinball(ours[:km], truth),
        ideal: pinball(told[:km], truth),
        days: pinball(ours[:days], log.truth_days),
        ideal_days: pinball(told[:days], log.truth_days),
        late: ours[:km]["p05"] > truth,
        reach: ours[:km]["p05"],
        ideal_reach: told[:km]["p05"],
        look_late: (ours[:look] || 0.0) > truth,
        **others(log, truth, seed)
      }
    end

    def others(log, truth, seed)
      {
        line: @yardsticks.line(log),
        filter: @yardsticks.filter(log, seed),
        own: @yardsticks.own(log)
      }.transform_values { |said| said && pinball(said.transform_keys { |chance| KEYS.key(chance) }, truth) }
    end

    # -> { km: and days: { "p05" => ..., ... } until the first component is at its limit, look: where to look again }
    def answer(forecaster, log)
      axle = forecaster.call(log.csv, log.specification).document["axles"]["front"]
      found = axle[log.rotors? ? "first_rotor" : "first_pad"]
      days = found["date"].transform_values { |date| (Date.iso8601(date) - log.as_of).to_i }
      { km: found["distance_km"], days:, look: axle["look_again_km"] }
    end

    def pinball(quantiles, truth)
      KEYS.sum do |key, chance|
        km = quantiles.fetch(key)
        truth >= km ? chance * (truth - km) : (1 - chance) * (km - truth)
      end
    end

    # Of the rows that have both.
    def ratio(rows, to, of = :ours)
      both = rows.select { |row| row[to] }
      both.sum { |row| row[of] } / both.sum { |row| row[to] }
    end

    # The standard error of the ratio to the filter, from the paired differences.
    def error(rows)
      gaps = rows.map { |row| row[:ours] - row[:filter] }
      mean = gaps.sum / gaps.length
      Math.sqrt(gaps.sum { |gap| (gap - mean)**2 } / (gaps.length - 1) * gaps.length) / rows.sum { |row| row[:filter] }
    end

    def line(world, regime, rows)
      held = BANDS.keys.map { |band| share(rows) { |row| row[:held][band] } }
      own = rows.all? { |row| row[:own] } ? format("%5.2f", ratio(rows, :own)) : ""
      losses = [
        ratio(rows, :line),
        ratio(rows, :filter),
        error(rows),
        own,
        ratio(rows, :ideal),
        ratio(rows, :ideal_days, :days)
      ]
      reach = rows.sum { |row| row[:reach] } / rows.sum { |row| row[:ideal_reach] }
      late = [share(rows) { |row| row[:late] }, reach, share(rows) { |row| row[:look_late] }]
      format(LINE, world, regime, rows.length, *held, *losses, *late)
    end

    def share(rows, &block) = 100.0 * rows.count(&block) / rows.length
  end
end
