# frozen_string_literal: true

require "json"
require_relative "chance"
require_relative "generic_filter"
require_relative "straight_line_life"

module Benchmarks
  # The forecast on degradation that has nothing to do with brakes (spec/reference/paths.R): cracks that grow in metal
  # specimens, cut at several points, beside the straight line and the plain filter. Only units are changed: the crack's
  # length at the start stands for new pads, 1.4 of it for the limit, and the median life for 57,000 km.
  class RealPaths
    FILE = File.expand_path("../spec/reference/paths.json", __dir__)
    LIMIT_LENGTH = 1.4
    NEW_MM = 11.0
    LIMIT_MM = 3.0
    MEDIAN_KM = 57_000.0
    READING_MM = 0.05
    # How far a part's own new thickness may be off, mm.
    NEW_SD_MM = 0.05
    CUTS = [0.3, 0.5, 0.7, 0.85].freeze
    PROBABILITIES = Graver::Core::Wear::RemainingLife::PROBABILITIES
    Wear = Graver::Core::Wear

    def initialize
      @paths = JSON.parse(File.read(FILE)).fetch("fatigue").filter_map { |path| crossing(path) && path }
      @prior = Graver::Knowledge::Library.load.prior("pad")
      lives = @paths.map { |path| crossing(path) }.sort
      @km = MEDIAN_KM / lives[lives.length / 2]
    end

    def print_to(out)
      out.puts format(
                 "%d crack paths; cut at    80 %%   filter 80 %%   to the line   to the filter   median off",
                 @paths.length
               )
      CUTS.each { |cut| out.puts line(cut, @paths.map { |path| row(path, cut) }) }
    end

    private

    # Cycles at which the crack reaches the length that counts as the end, or nil.
    def crossing(path)
      lengths, cycles = path.values_at("length", "cycles")
      at = lengths.index { |length| length >= LIMIT_LENGTH } or return
      share = (LIMIT_LENGTH - lengths[at - 1]) / (lengths[at] - lengths[at - 1])
      cycles[at - 1] + (share * (cycles[at] - cycles[at - 1]))
    end

    def row(path, cut)
      end_km = crossing(path) * @km
      points = points(path).select { |km, _| km <= cut * end_km }
      now_km = points.last.first
      history = history(points, now_km)
      ours = Wear::Forecast.call(history, @prior).first.quantiles
      lives = GenericFilter.call(history, @prior, 1).sort.to_a
      filter = PROBABILITIES.to_h { |chance| [chance, lives[(chance * (lives.length - 1)).round]] }
      line = points.length > 1 ? StraightLineLife.call(points, now_km, LIMIT_MM) : ours
      { truth: end_km - now_km, ours:, filter:, line: }
    end

    def points(path)
      path
        .fetch("cycles")
        .zip(path.fetch("length"))
        .map do |cycles, length|
          [
            cycles * @km,
            NEW_MM - ((NEW_MM - LIMIT_MM) * (length - path["length"].first) / (LIMIT_LENGTH - path["length"].first))
          ]
        end
    end

    def history(points, now_km)
      observations =
        points
          .drop(1)
          .map do |km, mm|
            thickness = Graver::Core::Measurement::Thickness.point(mm, READING_MM)
            Wear::Observation.new(distance_km: km, thickness:, trust: 1.0, ref: nil)
          end
      new = Graver::Core::Measurement::Thickness.point(NEW_MM, NEW_SD_MM)
      fitting = Wear::Fitting.new(fitted_km: 0.0, new:, observations:)
      Wear::History.new(sets: [{ "left_inner" => fitting }], limit_mm: LIMIT_MM, as_of_km: now_km, freed: [])
    end

    def line(cut, rows)
      held = %i[ours filter].map { |who| 100.0 * rows.count { |row| within?(row[who], row[:truth]) } / rows.length }
      ratios = %i[line filter].map { |who| loss(rows, :ours) / loss(rows, who) }
      off = rows.sum { |row| Math.log(row[:ours][0.5] / row[:truth]) } / rows.length
      format("%17d %% %10.0f %12.0f %13.2f %15.2f %11.0f %%", cut * 100, *held, *ratios, (Math.exp(off) - 1) * 100)
    end

    def within?(said, truth) = truth.between?(said[0.1], said[0.9])
    def loss(rows, who) = rows.sum { |row| pinball(row[who], row[:truth]) }

    def pinball(said, truth)
      said.sum { |chance, km| truth >= km ? chance * (truth - km) : (1 - chance) * (km - truth) }
    end
  end
end
