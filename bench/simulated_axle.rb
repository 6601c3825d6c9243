# frozen_string_literal: true

require "graver/core/wear/observation"
require "graver/core/measurement/thickness"

module Bench
  # One simulated axle of four pads with known truth: wear in gamma increments, rates that differ, drift, jump or seize,
  # readings by several methods. Seeded; the same seed gives the same axle.
  class SimulatedAxle
    Observation = Graver::Core::Wear::Observation
    Thickness = Graver::Core::Measurement::Thickness

    PADS = %w[left_inner left_outer right_inner right_outer].freeze
    STEP_KM = 250.0
    NEW_MM = 11.0
    LIMIT_MM = 3.0
    # standard deviation of a reading in mm, as the method has it
    METHODS = { "caliper" => 0.15, "visual" => 1.0, "gauge" => nil }.freeze
    REGIMES = %i[constant mixed drifting jump seized gross single pair].freeze

    attr_reader :as_of_km, :truth_km, :thinnest

    def initialize(regime, seed)
      @regime = regime
      @random = Random.new(seed)
      @rate = 0.000141 * Math.exp(0.6 * normal)
      @deviation = PADS.to_h { |pad| [pad, Math.exp((0.1 * normal) + (pad.end_with?("inner") ? 0.04 : -0.04))] }
      wear_out
      choose_services
      read_pads
    end

    # { pad => Fitting }, as the forecast takes it
    def set
      @observations.transform_values do |observations|
        Graver::Core::Wear::Fitting.new(fitted_km: 0.0, new: Thickness.point(NEW_MM, 0.15), observations:)
      end
    end

    # The thinnest reading of each service, as a spreadsheet would have it: [[km, mm], ...].
    def points = [[0.0, NEW_MM], *@thinnest]

    private

    def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)

    # Marsaglia and Tsang's method for a gamma variable of shape a (unit scale); small shapes by the usual power of a uniform.
    def gamma(shape)
      return gamma(shape + 1) * (@random.rand**(1.0 / shape)) if shape < 1

      d = shape - (1 / 3.0)
      loop do
        x = normal
        v = (1 + (x / Math.sqrt(9 * d)))**3
        return d * v if v.positive? && Math.log(1 - @random.rand) < (0.5 * x * x) + d - (d * v) + (d * Math.log(v))
      end
    end

    def wear_out
      @change_km = (@random.rand * 0.7) * (NEW_MM - LIMIT_MM) / @rate
      @jump = Math.exp((@random.rand < 0.5 ? -1 : 1) * (0.3 + (0.5 * @random.rand)))
      @seized = @random.rand < 0.5 ? "left_inner" : "right_inner"
      @factor = 1.6 + (1.4 * @random.rand)
      grind_down
      @end_km = PADS.filter_map { |pad| @thickness[pad].index { |mm| mm <= LIMIT_MM } }.min * STEP_KM
    end

    def grind_down
      drift = 0.0
      @thickness = PADS.to_h { |pad| [pad, [NEW_MM]] }
      until @thickness.values.map(&:last).min < LIMIT_MM - 1
        drift = next_drift(drift)
        km = (@thickness.values.first.length - 1) * STEP_KM
        PADS.each { |pad| @thickness[pad] << (@thickness[pad].last - increment(pad, km, drift)) }
      end
    end

    def next_drift(drift)
      return 0.0 unless %i[drifting mixed single pair].include?(@regime)

      keep = Math.exp(-STEP_KM / 20_000)
      (drift * keep) + (0.25 * Math.sqrt(1 - (keep**2)) * normal)
    end

    def increment(pad, km, drift)
      mean = @rate * @deviation[pad] * STEP_KM * Math.exp(drift)
      mean *= @jump if @regime == :jump && km >= @change_km
      mean *= @factor if @regime == :seized && pad == @seized && km >= @change_km
      scale = 0.03
      gamma(mean / scale) * scale
    end

    # Services at uneven distances, up to a moment somewhere before the end.
    def choose_services
      @as_of_km = @end_km * (0.25 + (0.65 * @random.rand))
      count = { single: 1, pair: 2 }.fetch(@regime) { 2 + @random.rand(4) }
      cuts = Array.new(count - 1) { (0.1 + (0.85 * @random.rand)) * @as_of_km }
      @services = [*cuts.sort, @as_of_km].map { |km| (km / STEP_KM).floor * STEP_KM }.uniq.reject(&:zero?)
      @services = [STEP_KM] if @services.empty?
      @as_of_km = @services.last
      @truth_km = @end_km - @as_of_km
    end

    def read_pads
      @observations = PADS.to_h { |pad| [pad, []] }
      wrong = @regime == :gross ? @services.sample(random: @random) : nil
      shift = [5.0, -1.0, 1.0, 0.8].sample(random: @random)
      @thinnest = @services.map do |km|
        method = @regime == :mixed ? METHODS.keys.sample(random: @random) : "caliper"
        [km, PADS.map { |pad| read(pad, km, method, km == wrong ? shift : 0.0) }.min]
      end
    end

    def read(pad, km, method, shift)
      true_mm = [@thickness[pad][(km / STEP_KM).to_i], 0.0].max
      thickness = method == "gauge" ? gauge(true_mm) : Thickness.point([true_mm + shift + (METHODS[method] * normal), 0.0].max, METHODS[method])
      @observations[pad] << Observation.new(distance_km: km, thickness:, trust: 1.0, ref: [pad, km])
      thickness.value_mm
    end

    def gauge(true_mm) = Thickness.interval(true_mm.floor.to_f, true_mm.floor + 1.0, edge_mm: 0.2)
  end
end
