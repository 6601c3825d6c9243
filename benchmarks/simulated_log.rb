# frozen_string_literal: true

require "json"
require_relative "simulated_axle"

module Benchmarks
  # The log of one simulated axle as its owner would have written it (docs/formats.md), with the truth beside it. The
  # same world, regime and seed give the same log.
  class SimulatedLog
    PLATE_MM = 5.0
    # Owners renew a set somewhat before its end or a little after it: shares of its life.
    RENEWED_AT = [0.8, 1.03].freeze
    # A zero off at a service includes the plates so often, where there are any.
    PLATES = 0.33
    HEADINGS = %w[date odometer axle side part pad event method value unit overall].freeze

    # earlier_km: lives of the sets before
    attr_reader :regime, :truth_km, :as_of_km, :earlier_km

    # world: World; regime: Regime or its name
    def initialize(world, regime, seed)
      @world = world
      @regime = regime.is_a?(Regime) ? regime : Regime.named(regime)
      @chance = Chance.new((seed * 97) + @regime.number)
      @driven = DrivenDays.new(world.driving, seed)
      @axle = SimulatedAxle.new(world, @regime, @chance, @driven)
      @rows = []
      @earlier_km = []
      @stated = stated_new
      write
    end

    def rotors? = regime.rotors?
    def part = regime.part
    def limit_mm = @axle.limit_mm
    def csv = [HEADINGS, *@rows].map { |row| row.join(",") }.join("\n")

    def specification
      limits = rotors? ? { discard_mm: limit_mm } : { limit_mm:, backing_mm: PLATE_MM }
      now = { date: as_of.iso8601, odometer_km: as_of_km.round(1) }
      JSON.generate(as_of: now, axles: { front: { part => { new_mm: @stated, **limits } } })
    end

    def truth_days = (day(as_of_km + truth_km) - as_of).to_i
    def as_of = day(as_of_km)

    # The points of a spreadsheet's line: the thinnest pad of each service of the current set.
    def points = [[@life.fitted_km, @stated || guessed_new], *@thinnest].uniq(&:first)

    def driven_km = as_of_km - @life.fitted_km

    private

    def day(km) = @driven.on(km)
    def guessed_new = rotors? ? limit_mm + 2 : 11.0
    def happens?(chance) = @chance.between(0.0, 1.0) < chance

    def stated_new
      return if happens?(@world.unknown_new)
      return @axle.new_mm unless regime.claimed

      @axle.new_mm + (@chance.pick(-1, 1, 1) * @chance.between(1.0, 2.0)).round(1)
    end

    def write
      km = 3000.0
      @chance.whole(regime.sets_before.min, regime.sets_before.max).times { km = past_set(km) }
      @life = @axle.new_set(km)
      fit unless regime.unlogged
      @as_of_km = km + (@life.ends_km * now)
      @truth_km = km + @life.ends_km - as_of_km
      visit(as_of_km)
    end

    # A fresh set is looked at while it is new.
    def now = regime.name == :fresh ? @chance.between(0.02, 0.35) : @chance.between(0.2, 0.95)

    # -> where it came off
    def past_set(km)
      @life = @axle.new_set(km)
      fit
      lasted_km = @life.ends_km * @chance.between(*RENEWED_AT)
      visit(km + lasted_km)
      @earlier_km << lasted_km
      km + lasted_km
    end

    def fit
      @rows << [
        day(@life.fitted_km).iso8601,
        @life.fitted_km.round(1),
        "front",
        "",
        part,
        "",
        "fit",
        "",
        @stated,
        "mm",
        "false"
      ]
    end

    def visit(until_km)
      services = services(until_km)
      wrong = services.any? && happens?(regime.gross) ? @chance.pick(*services) : nil
      @thinnest = services.filter_map { |km| service(km, km == wrong) }
    end

    def services(until_km)
      often = regime.services || (@world.services.first..@world.services.last)
      count = @chance.whole(often.min, often.max)
      return [] if count.zero?

      last = @chance.pick(1.0, @chance.between(0.85, 1.0))
      shares = [*Array.new(count - 1) { @chance.between(0.08, 0.9) }.sort, last]
      shares.map { |share| @life.fitted_km + (share * (until_km - @life.fitted_km)) }
    end

    def service(km, wrong)
      method = @chance.pick(*regime.ways)
      sd = @world.errors_mm.fetch(method).fetch(part.to_sym)
      plate = wrong && !rotors? && happens?(PLATES)
      off = (sd * Math.sqrt(@world.day_share) * @chance.normal) + (wrong && !plate ? zero_off : 0.0)
      off += @chance.between(regime.lip_mm.min, regime.lip_mm.max) if regime.lip_mm && happens?(0.5)
      seen = @axle.components.reject { happens?(@world.skipped) }
      seen = [@axle.components.first] if seen.empty?
      slips = happens?(regime.slip) ? @chance.pick(*seen) : nil
      [km, seen.map { |name| read(name, km, method, off + own_error(sd) + slip(name == slips), plate) }.min]
    end

    def own_error(sd)
      often = happens?(regime.heavy) ? 3.0 : 1.0
      often * sd * Math.sqrt(1 - @world.day_share) * @chance.normal
    end

    # A digit or a unit off.
    def slip(slips) = slips ? @chance.pick(-1, 1) * @chance.pick(1.0, 2.0, 3.0) : 0.0
    def zero_off = @chance.pick(-1, 1) * @chance.between(*@world.gross_mm)

    def read(name, km, method, error, plate)
      true_mm = [@life.thickness(name, km), 0.0].max
      side, pad = name.split("_")
      given, unit, mm = as_read(true_mm, method, error, plate)
      @rows << [day(km).iso8601, km.round(1), "front", side, part, pad, "reading", method, given, unit, "false"]
      mm
    end

    # -> [what is written down, its unit, what a spreadsheet takes it for in mm]
    def as_read(true_mm, method, error, plate)
      mm = [true_mm + error + (plate ? PLATE_MM : 0.0), 0.0].max
      case method
      when "percent"
        new_mm = @stated || guessed_new
        share = (mm / new_mm * 10).round.clamp(0, 10) * 10
        [share, "percent", share / 100.0 * new_mm]
      when "visual", "rule"
        rounded = (mm * 2).round / 2.0
        [rounded, "mm", rounded]
      when "gauge"
        [true_mm.floor, "mm", true_mm.floor + 0.5]
      else
        [mm.round(2), "mm", mm]
      end
    end
  end
end
