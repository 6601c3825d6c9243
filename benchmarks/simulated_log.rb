# frozen_string_literal: true

require "json"
require_relative "chance"
require_relative "driven_days"
require_relative "world"

module Benchmarks
  # The log of one simulated axle as its owner would have written it (docs/formats.md), with the truth beside it. The
  # same world, regime and seed give the same log. Regimes:
  #
  # - steady: one rate
  # - mixed: drift, and any method
  # - drifting: the rate drifts
  # - jump: the axle's rate changes once
  # - seized: one pad speeds up, at any moment
  # - gross: everything read at one service is off, or includes the plates
  # - single: read once
  # - earlier: one or two sets before, read
  # - rotors: by micrometer
  # - calipered: rotors by caliper
  class SimulatedLog
    REGIMES = %i[steady mixed drifting jump seized gross single earlier rotors calipered].freeze
    PADS = %w[left_inner left_outer right_inner right_outer].freeze
    ROTORS = %w[left right].freeze
    DRIFTING = %i[mixed drifting single earlier].freeze
    STEPS = 220
    PLATE_MM = 5.0
    HEADINGS = %w[date odometer axle side part pad event method value unit overall].freeze

    attr_reader :truth_km, :as_of_km, :limit_mm

    def initialize(world, regime, seed)
      @world = world
      @regime = regime
      @chance = Chance.new((seed * 97) + REGIMES.index(regime))
      @laws = rotors? ? world.rotor : world.pad
      @driven = DrivenDays.new(world.driving, seed)
      draw_vehicle
      sets_before = regime == :earlier ? @chance.pick(1, 2) : 0
      sets_before.times { live(last: false) }
      live(last: true)
    end

    def rotors? = %i[rotors calipered].include?(@regime)
    def part = rotors? ? "rotor" : "pad"
    def csv = [HEADINGS, *@rows].map { |row| row.join(",") }.join("\n")

    def specification
      limits = rotors? ? { discard_mm: limit_mm } : { limit_mm:, backing_mm: PLATE_MM }
      JSON.generate(
        as_of: {
          date: day(as_of_km).iso8601,
          odometer_km: as_of_km.round(1)
        },
        axles: {
          front: {
            part => {
              new_mm: @stated,
              **limits
            }
          }
        }
      )
    end

    def truth_days = (day(as_of_km + truth_km) - day(as_of_km)).to_i
    def as_of = day(as_of_km)

    # The points of a spreadsheet's line: the thinnest pad of each service of the current set.
    def points = [[@fitted_km, @stated || guessed_new], *@thinnest].uniq(&:first)

    private

    def guessed_new = rotors? ? limit_mm + 2 : 11.0
    def components = rotors? ? ROTORS : PADS
    def day(km) = @driven.on(km)

    def draw_vehicle
      @rows = []
      @km = 3000.0
      @drift = 0.0
      @limit_mm = @chance.pick(*@laws.limit_mm)
      nominal = @chance.pick(*@laws.new_mm)
      @new_mm = rotors? ? limit_mm + nominal : nominal
      @stated = @chance.between(0, 1) < @world.unknown_new ? nil : @new_mm
      @vehicle_rate = @laws.rate_mm_per_1000km / 1000 * Math.exp(@laws.rate_log_sd * @chance.normal)
    end

    def live(last:)
      @fitted_km = @km
      fit
      grind_down
      ends = components.filter_map { |name| @mm[name].index { |mm| mm <= limit_mm } }.min * @step_km
      until_km = @fitted_km + (last ? ends * @chance.between(0.2, 0.95) : ends)
      visit(until_km)
      @as_of_km = until_km
      @truth_km = @fitted_km + ends - until_km
      @km = @fitted_km + ends
    end

    def fit
      @rate = @vehicle_rate * Math.exp(@laws.set_log_sd * @chance.normal)
      @own = components.to_h { |name| [name, Math.exp((@laws.deviation_log_sd * @chance.normal) + inner(name))] }
      @step_km = (@new_mm - limit_mm) / @rate / STEPS
      @mm = components.to_h { |name| [name, [@new_mm + (@laws.box_mm * @chance.normal)]] }
      @rows << [day(@fitted_km).iso8601, @fitted_km.round(1), "front", "", part, "", "fit", "", @stated, "mm", "false"]
    end

    def inner(name) = { "inner" => 0.5, "outer" => -0.5 }.fetch(name.split("_").last, 0.0) * @world.inner_log

    def grind_down
      plan
      step = 0
      until @mm.values.map(&:last).min <= limit_mm - (0.05 * (@new_mm - limit_mm))
        drift_on if DRIFTING.include?(@regime)
        wear(step)
        step += 1
      end
    end

    # At most one thing happens in a set's life, at any moment of its usual length.
    def plan
      @moment = @chance.between(0.0, 0.85) * STEPS
      low, high = @world.jump.map { |factor| Math.log(factor) }
      @jump = Math.exp(@chance.pick(@chance.between(low, low / 2), @chance.between(high / 2, high)))
      @seized = @chance.pick("left_inner", "left_inner", "right_inner", "right_inner", "left_outer", "right_outer")
      @faster = @chance.between(*@world.seize)
      @slower = mate_factor
    end

    def mate_factor
      left = @chance.between(0, 1)
      range, = @world.mate.find { |_, share| (left -= share) <= 0 } || @world.mate.first
      @chance.between(*range)
    end

    def drift_on
      keep = Math.exp(-@step_km / @world.drift_km)
      @drift = (@drift * keep) + (@world.drift_log_sd * Math.sqrt(1 - (keep**2)) * @chance.normal)
    end

    def wear(step)
      usual = @rate * @step_km * Math.exp(@drift)
      usual *= @jump if @regime == :jump && step >= @moment
      together = @world.common.positive? ? increment(usual, @laws.increment_mm * @world.common) / usual : 1.0
      components.each do |name|
        mean = usual * @own[name] * together * factor(name, step)
        own = mean.positive? ? increment(mean, @laws.increment_mm * (1 - @world.common)) : 0.0
        @mm[name] << [@mm[name].last - own, @mm[name].last].min
      end
    end

    def factor(name, step)
      return 1.0 unless @regime == :seized && step >= @moment
      return @faster if name == @seized

      name.split("_").first == @seized.split("_").first ? @slower : 1.0
    end

    # Of this mean, its variance so many mm times the mean.
    def increment(mean, scale_mm)
      return mean if scale_mm.zero? || @world.increments == :steady

      case @world.increments
      when :gamma
        @chance.gamma(mean / scale_mm) * scale_mm
      when :inverse_gaussian
        @chance.inverse_gaussian(mean, mean * mean / scale_mm)
      when :wiener
        mean + (Math.sqrt(scale_mm * mean) * @chance.normal)
      end
    end

    def visit(until_km)
      count = @regime == :single ? 1 : @chance.whole(*@world.services)
      last = @chance.pick(1.0, @chance.between(0.85, 1.0))
      shares = [*Array.new(count - 1) { @chance.between(0.08, 0.9) }.sort, last]
      services = shares.map { |share| @fitted_km + (share * (until_km - @fitted_km)) }
      wrong = @regime == :gross ? @chance.pick(*services) : nil
      @thinnest = services.filter_map { |km| service(km, km == wrong) }
    end

    def service(km, wrong)
      method = way_of_reading
      sd = @world.errors_mm.fetch(method).fetch(part.to_sym)
      plate = wrong && @chance.between(0, 1) < 0.33
      off = (sd * Math.sqrt(@world.day_share) * @chance.normal) + (wrong && !plate ? zero_off : 0.0)
      seen = components.reject { @chance.between(0, 1) < @world.skipped }
      seen = [components.first] if seen.empty?
      mm =
        seen.map { |name| read(name, km, method, off + (sd * Math.sqrt(1 - @world.day_share) * @chance.normal), plate) }
      [km, mm.min]
    end

    def zero_off = @chance.pick(-1, 1) * @chance.between(*@world.gross_mm)

    def way_of_reading
      return { rotors: "micrometer", calipered: "caliper" }.fetch(@regime) if rotors?

      @regime == :mixed ? @chance.pick("caliper", "rule", "visual", "percent", "gauge") : "caliper"
    end

    def read(name, km, method, error, plate)
      true_mm = [at(name, km), 0.0].max
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

    def at(name, km)
      step, share = ((km - @fitted_km) / @step_km).divmod(1)
      before, after = @mm[name][step, 2]
      after ? before + ((after - before) * share) : before
    end
  end
end
