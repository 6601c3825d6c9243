# frozen_string_literal: true

require_relative "chance"

module Benchmarks
  # One simulated axle with known truth: wear in gamma increments, rates that differ, drift, jump or seize, readings by
  # several methods. Seeded; the same seed gives the same axle. Regimes:
  #
  #   constant one rate for ever mixed drift, and any method at any service drifting the axle's rate drifts
  #   jump      the axle's rate jumps once  seized   one inner pad speeds up 1.5 to 2.5 times, its mate slows a little
  #   gross     everything read at one service is off by the same error, the backing plate included
  #   single one service pair two services earlier one or two earlier sets, read
  #   rotors    two rotors of 25 mm over all their sets of pads
  class SimulatedAxle
    Observation = Graver::Core::Wear::Observation
    Thickness = Graver::Core::Measurement::Thickness
    Part = Struct.new(:components, :new_mm, :limit_mm, :rate, :increment_mm, :reading_sd_mm, :new_sd_mm)

    PADS = Part.new(%w[left_inner left_outer right_inner right_outer], 11.0, 3.0, 0.000141, 0.03, 0.15, 0.15)
    ROTORS = Part.new(%w[left right], 25.0, 23.0, 0.000018, 0.004, 0.03, 0.05)
    REGIMES = %i[constant mixed drifting jump seized gross single pair earlier rotors].freeze
    RATE_LOG_SD = 0.6
    SET_LOG_SD = 0.2
    DEVIATION_LOG_SD = 0.1
    DRIFT_LOG_SD = 0.25
    DRIFT_KM = 20_000.0
    STEPS = 240

    attr_reader :as_of_km, :truth_km, :part, :thinnest

    def initialize(regime, seed)
      @regime = regime
      @chance = Chance.new(seed)
      @part = regime == :rotors ? ROTORS : PADS
      @vehicle_rate = part.rate * Math.exp(RATE_LOG_SD * @chance.normal)
      @drift = 0.0
      @start_km = 0.0
      @sets = []
      (regime == :earlier ? @chance.pick(1, 2) : 0).times { live_through }
      live_through(last: true)
    end

    # Graver::Core::Wear::History, as the forecast takes it
    def history = Graver::Core::Wear::History.new(sets: @sets, limit_mm: part.limit_mm, as_of_km:, freed: [])

    # The thinnest reading of each service of the set that is on, as a spreadsheet would have it: [[km, mm], ...].
    def points = [[@fitted_km, part.new_mm], *@thinnest]

    private

    def drifts? = %i[drifting mixed single pair earlier].include?(@regime)

    # One set from new to its limit; the last is left somewhere before.
    def live_through(last: false)
      @fitted_km = @start_km
      @rate = @vehicle_rate * Math.exp(SET_LOG_SD * @chance.normal)
      @deviation = part.components.to_h { |name| [name, Math.exp((DEVIATION_LOG_SD * @chance.normal) + offset(name))] }
      @step_km = (part.new_mm - part.limit_mm) / @rate / STEPS
      grind_down
      end_km =
        @fitted_km +
          (part.components.filter_map { |name| @thickness[name].index { |mm| mm <= part.limit_mm } }.min * @step_km)
      visit(last ? @fitted_km + ((end_km - @fitted_km) * @chance.between(0.25, 0.9)) : end_km)
      @truth_km = end_km - @as_of_km
      @start_km = end_km
    end

    def offset(name) = { "inner" => 0.04, "outer" => -0.04 }.fetch(name.split("_").last, 0.0)

    def grind_down
      plan_changes
      @thickness = part.components.to_h { |name| [name, [part.new_mm]] }
      until @thickness.values.map(&:last).min < part.limit_mm - (0.1 * (part.new_mm - part.limit_mm))
        step = @thickness.values.first.length - 1
        drift_on if drifts?
        part.components.each { |name| @thickness[name] << (@thickness[name].last - increment(name, step)) }
      end
    end

    def plan_changes
      @change_step = @chance.between(0.0, @regime == :seized ? 0.25 : 0.45) * STEPS
      @jump = Math.exp(@chance.pick(-1, 1) * @chance.between(0.3, 0.8))
      @seized = @chance.pick("left", "right")
      @factor = { "inner" => @chance.between(1.5, 2.5), "outer" => @chance.between(0.8, 1.0) }
    end

    def drift_on
      keep = Math.exp(-@step_km / DRIFT_KM)
      @drift = (@drift * keep) + (DRIFT_LOG_SD * Math.sqrt(1 - (keep**2)) * @chance.normal)
    end

    def increment(name, step)
      mean = @rate * @deviation[name] * @step_km * Math.exp(@drift)
      mean *= @jump if @regime == :jump && step >= @change_step
      mean *= @factor[name.split("_").last] if @regime == :seized && name.start_with?(@seized) && step >= @change_step
      @chance.gamma(mean / part.increment_mm) * part.increment_mm
    end

    # Services at uneven distances; the newest is where the forecast is asked for, or some way before.
    def visit(until_km)
      count = { single: 1, pair: 2 }.fetch(@regime) { @chance.whole(2, 6) }
      shares = [*Array.new(count - 1) { @chance.between(0.1, 0.95) }.sort, @chance.pick(1.0, @chance.between(0.9, 1.0))]
      @services = shares.map { |share| @fitted_km + (share * (until_km - @fitted_km)) }.uniq
      @as_of_km = until_km
      read_all
    end

    def read_all
      observations = part.components.to_h { |name| [name, []] }
      wrong = @regime == :gross ? @chance.pick(*@services) : nil
      shift = @chance.pick(5.0, @chance.between(0.5, 1.5), -@chance.between(0.5, 1.5))
      @thinnest =
        @services.map do |km|
          method = @regime == :mixed ? @chance.pick(:caliper, :visual, :gauge, :percent) : :caliper
          seen =
            part.components.map do |name|
              read(name, km, method, km == wrong ? shift : 0.0).tap do |thickness|
                observations[name] << observation(name, km, thickness)
              end
            end
          [km, seen.map(&:value_mm).min]
        end
      @sets << observations.transform_values do |list|
        Graver::Core::Wear::Fitting.new(
          fitted_km: @fitted_km,
          new: Thickness.point(part.new_mm, part.new_sd_mm),
          observations: list
        )
      end
    end

    def observation(name, km, thickness) = Observation.new(distance_km: km, thickness:, trust: 1.0, ref: [name, km])

    def read(name, km, method, shift)
      true_mm = [at(name, km), 0.0].max
      return Thickness.interval(true_mm.floor.to_f, true_mm.floor + 1.0, edge_mm: 0.2) if method == :gauge

      sd = { caliper: part.reading_sd_mm, visual: 1.0, percent: 0.1 * part.new_mm }.fetch(method)
      Thickness.point([true_mm + shift + (sd * @chance.normal), 0.0].max, sd)
    end

    def at(name, km)
      step, part_of = ((km - @fitted_km) / @step_km).divmod(1)
      before, after = @thickness[name][step, 2]
      after ? before + ((after - before) * part_of) : before
    end
  end
end
