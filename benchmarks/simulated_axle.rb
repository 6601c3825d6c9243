# frozen_string_literal: true

require_relative "chance"
require_relative "driven_days"
require_relative "regime"
require_relative "world"

module Benchmarks
  # The truth about one simulated axle: set after set ground down under a world's laws and a regime's events.
  class SimulatedAxle
    PADS = %w[left_inner left_outer right_inner right_outer].freeze
    ROTORS = %w[left right].freeze
    STEPS = 220
    # A set is followed somewhat beyond its limit.
    BEYOND = 0.05

    # A set of parts: thickness (by component, at even steps of step_km from fitted_km on) and how far its first
    # component is from the limit when it is new.
    Life =
      Struct.new(:fitted_km, :step_km, :mm, :ends_km, keyword_init: true) do
        def thickness(name, km)
          step, share = ((km - fitted_km) / step_km).divmod(1)
          before, after = mm[name][step, 2]
          return mm[name].last unless before

          after ? before + ((after - before) * share) : before
        end
      end

    attr_reader :limit_mm, :new_mm, :components

    # worn_to_mm: how far sets are followed, where that is further than usual
    def initialize(world, regime, chance, driven, worn_to_mm: nil)
      @world = world
      @regime = regime
      @chance = chance
      @driven = driven
      @laws = regime.rotors? ? world.rotor : world.pad
      @components = regime.rotors? ? ROTORS : PADS
      @worn_to_mm = worn_to_mm
      draw_vehicle
    end

    # -> Life of a set fitted there
    def new_set(km)
      @rate = @vehicle_rate * Math.exp(@laws.set_log_sd * @chance.normal)
      @own = components.to_h { |name| [name, Math.exp((@laws.deviation_log_sd * @chance.normal) + inner(name))] }
      @fitted_km = km
      @step_km = (new_mm - limit_mm) / @rate / STEPS
      @mm = components.to_h { |name| [name, [new_mm + (@laws.box_mm * @chance.normal)]] }
      plan
      grind_down
      Life.new(fitted_km: km, step_km: @step_km, mm: @mm, ends_km: ends_km)
    end

    private

    def draw_vehicle
      @drift = 0.0
      @limit_mm = @chance.pick(*@laws.limit_mm)
      nominal = @chance.pick(*@laws.new_mm)
      @new_mm = @regime.rotors? ? limit_mm + nominal : nominal
      @vehicle_rate = @laws.rate_mm_per_1000km / 1000 * Math.exp(@laws.rate_log_sd * @chance.normal) * @regime.pace
      @drifts = happens?(@regime.drifts)
    end

    def happens?(chance) = @chance.between(0.0, 1.0) < chance
    def inner(name) = { "inner" => 0.5, "outer" => -0.5 }.fetch(name.split("_").last, 0.0) * @world.inner_log

    def ends_km = components.filter_map { |name| crossing(@mm[name]) }.min * @step_km

    # Steps until a component is at its limit, or nil.
    def crossing(values)
      at = values.index { |mm| mm <= limit_mm } or return
      return at.to_f if at.zero?

      at - 1 + ((values[at - 1] - limit_mm) / (values[at - 1] - values[at]))
    end

    def grind_down
      step = 0
      until @mm.values.map(&:last).min <= (@worn_to_mm || (limit_mm - (BEYOND * (new_mm - limit_mm))))
        drift_on if @drifts
        wear(step)
        step += 1
      end
    end

    # At most one of each happens in a set's life, at any moment of its usual length.
    def plan
      @moment = @chance.between(0.0, 0.85) * STEPS
      low, high = @world.jump.map { |factor| Math.log(factor) }
      size = Math.exp(@chance.pick(@chance.between(low, low / 2), @chance.between(high / 2, high)))
      @jump = happens?(@regime.jump) ? size : 1.0
      @towing = happens?(@regime.towing) ? @chance.between(2.0, 3.0) : 1.0
      sticks = @chance.pick("left_inner", "left_inner", "right_inner", "right_inner", "left_outer", "right_outer")
      @seized = happens?(@regime.seized) && !@regime.rotors? ? sticks : nil
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
      usual = @rate * @step_km * pace(step)
      together = @world.common.positive? ? increment(usual, @laws.increment_mm * @world.common) / usual : 1.0
      components.each do |name|
        mean = usual * @own[name] * together * stuck(name, step)
        own = mean.positive? ? increment(mean, @laws.increment_mm * (1 - @world.common)) : 0.0
        @mm[name] << [@mm[name].last - own, @mm[name].last].min
      end
    end

    # How many times as fast as usual the axle wears just now.
    def pace(step)
      pace = Math.exp(@drift)
      pace *= @jump if step >= @moment
      pace *= @towing if step.between?(@moment, @moment + (STEPS / 7))
      pace *= 1 + (@regime.quickening * (worn - 0.5)) if @regime.quickening.positive?
      pace *= 1 + (@regime.season * winter(step)) if @regime.season.positive?
      pace
    end

    def worn = (new_mm - @mm[components.first].last) / (new_mm - limit_mm)
    def winter(step) = Math.cos(2 * Math::PI * @driven.on(@fitted_km + (step * @step_km)).yday / 365.0)

    def stuck(name, step)
      return 1.0 unless @seized && step >= @moment
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
  end
end
