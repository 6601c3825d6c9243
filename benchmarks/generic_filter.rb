# frozen_string_literal: true

require "numo/narray"

module Benchmarks
  # A plain yardstick: a particle filter that knows that material only goes, in gamma increments at one constant rate
  # per set, and how far each method's readings are off (Student's t, so that one bad reading doesn't end it). It knows
  # nothing of changes, seized pins, days on which everything is off, or unlogged sets. Being worse than this shows at
  # once.
  class GenericFilter
    PARTICLES = 1500
    # Liu and West's kernel: what is resampled is moved a little, without widening the whole.
    SHRINK = 0.95
    LEAST_MM = 0.05
    FREEDOM = 4
    # Variance of a stretch's wear over its mean, as multiples of the prior's: what all parts of an axle share, and each
    # one's own.
    SHARED = 2.5
    OWN = 1.0
    MATHS = Numo::DFloat::Math

    # prior: Graver::Core::Wear::Prior, of which the spread of rates and the size of increments count -> lives in km
    # (Numo::DFloat)
    def self.call(history, prior, seed) = new(history, prior, seed).lives

    def initialize(history, prior, seed)
      @history = history
      @prior = prior
      @chance = Chance.new(seed)
      @names = history.sets.flat_map(&:keys).uniq
      middle = Math.log(prior.rate_mm_per_1000km / 1000)
      @base = (normals * prior.rate_log_sd) + middle
      @own = @names.to_h { |name| [name, normals * prior.deviation_log_sd] }
      @mm = {}
      @weights = Numo::DFloat.zeros(PARTICLES)
    end

    def lives
      Graver::Core::Wear::LogEpochs.call(@history).each { |epoch| pass(epoch) }
      wear_to(@history.as_of_km)
      resample
      current = @history.sets.last.keys
      Numo::DFloat.vstack(current.map { |name| life(name) }).min(axis: 0)
    end

    private

    def normals = Numo::DFloat.cast(Array.new(PARTICLES) { @chance.normal })
    def rate(name) = MATHS.exp(@base + @own.fetch(name))

    def pass(epoch)
      wear_to(epoch.km)
      fit(epoch.fits) if epoch.fits.any?
      epoch.readings.each { |name, observation| weigh(name, observation.thickness) }
      resample if epoch.readings.any?
    end

    def fit(starts)
      renew(starts.keys) if starts.keys.any? { |name| @mm.key?(name) }
      shared = normals
      starts.each do |name, start|
        own = Math.sqrt([(start.standard_uncertainty_mm**2) - (start.shared_mm**2), 1e-6].max)
        @mm[name] = (shared * start.shared_mm) + (normals * own) + start.value_mm
      end
    end

    def wear_to(km)
      distance = km - (@km || km)
      @km = [km, @km || km].max
      return unless distance.positive?

      usual = MATHS.exp(@base) * distance
      together = increments(usual, SHARED * @prior.increment_mm) / usual
      @mm.each { |name, mm| @mm[name] = mm - increments(rate(name) * together * distance, OWN * @prior.increment_mm) }
    end

    # Another set of the same axle has a rate of its own.
    def renew(names)
      @base += normals * @prior.set_log_sd
      names.each { |name| @own[name] = normals * @prior.deviation_log_sd }
    end

    def increments(means, scale)
      Numo::DFloat.cast(means.to_a.map { |mean| @chance.gamma([mean / scale, 1e-2].max) * scale })
    end

    def weigh(name, thickness)
      sd = [thickness.standard_uncertainty_mm, LEAST_MM].max
      mm = @mm.fetch(name)
      away = (thickness.interval? ? mm - mm.clip(thickness.lower_mm, thickness.upper_mm) : mm - thickness.value_mm)
      sd = LEAST_MM if thickness.interval?
      @weights -= MATHS.log((((away / sd)**2) / FREEDOM) + 1) * ((FREEDOM + 1) / 2.0)
    end

    def resample
      raised = MATHS.exp(@weights - @weights.max)
      picked = systematic((raised / raised.sum).to_a)
      @base = jitter(@base[picked])
      @own.transform_values! { |values| jitter(values[picked]) }
      @mm.transform_values! { |values| jitter(values[picked]) }
      @weights = Numo::DFloat.zeros(PARTICLES)
    end

    def systematic(weights)
      total, at, sum = @chance.between(0.0, 1.0), 0, weights.first
      Array.new(PARTICLES) do |count|
        at, sum = at + 1, sum + weights[at + 1] while sum < (count + total) / PARTICLES && at < PARTICLES - 1
        at
      end
    end

    def jitter(values)
      mean = values.mean
      (values * SHRINK) + (mean * (1 - SHRINK)) + (normals * (values.stddev * Math.sqrt(1 - (SHRINK**2))))
    end

    # First passage of a gamma process: its mean, and a normal spread of its variance.
    def life(name)
      above = (@mm.fetch(name) - @history.limit_mm).clip(0.0, nil)
      blurred = above + (MATHS.sqrt(above * ((SHARED + OWN) * @prior.increment_mm)) * normals)
      (blurred / rate(name)).clip(0.0, nil)
    end
  end
end
