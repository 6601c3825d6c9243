# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # What may become of an axle: a fixed number of ways on from what the filter believes, each with its own rates,
      # thicknesses, drift and changes still to come, followed until every component has met the limit.
      #
      # - components: ids, in the order of the rows below
      # - thickness_mm: [component, future] now
      # - log_rates: [component, future] natural logarithm of mm per km now
      # - lives_km: [component, future] distance to the limit, 0 when already passed
      class LifeSimulation
        COUNT = 600
        STEPS = 15
        # The first step as a share of the shortest median life, the furthest point in multiples of the longest.
        NEAREST = 0.06
        FURTHEST = 10.0
        LEAST_ABOVE_MM = 0.3
        LEAST_LEFT_MM = 1e-6
        MOST_COMPONENTS = 4
        # The rows of the draws.
        WEAR_ROW = 3 + (2 * MOST_COMPONENTS)
        SIZE_ROW = WEAR_ROW + MOST_COMPONENTS
        COMMON_ROW = SIZE_ROW + 1 + MOST_COMPONENTS
        MATE_ROW = COMMON_ROW + 1
        DRIFT_ROW = MATE_ROW + MOST_COMPONENTS
        KIND_ROW = 1 + MOST_COMPONENTS
        QUIET_ROW = 2 * KIND_ROW
        # The rows of the draws for a passing spell: whether, and how strong.
        SPELL_ROW = QUIET_ROW + 1
        STRENGTH_ROW = DRIFT_ROW + STEPS
        # How long a spell lasts, as a share of a life.
        SPELL_SHARE = 1 / 7.0
        NUMBERS = Numo::DFloat::Math

        attr_reader :components, :thickness_mm, :log_rates, :lives_km, :limit_mm

        # Draws are the same for every axle, and made once.
        def self.normals = @normals ||= LatinHypercube.normal(STRENGTH_ROW + 1, COUNT)
        # Even draws between 0 and 1: [row, future]
        def self.chances = @chances ||= LatinHypercube.chances(SPELL_ROW + 1, COUNT)

        # Hypotheses (as of now), Prior, the limit in mm; components: those fitted.
        def self.of(hypotheses, prior, limit_mm, components) = new(Start.drawn(hypotheses, components), prior, limit_mm)

        # start: Start.
        def initialize(start, prior, limit_mm)
          @start = start
          @prior = prior
          @limit_mm = limit_mm
          @components = start.components
          @thickness_mm = start.thickness_mm
          @log_rates = start.lasting + start.drift
          follow
          freeze
        end

        # Applies the owner's what-if: another limit, every rate times `factor`, components (`evened`) that wear as
        # their mates do again, and new parts of `new_mm` all round.
        def supposing(limit_mm: @limit_mm, factor: 1.0, evened: [], new_mm: nil)
          self.class.new(@start.supposing(factor, evened, new_mm), @prior, limit_mm)
        end

        # The median distance driven since the limit was passed, km, if it most likely was; else nil.
        def passed_since_km
          ago = ((limit_mm - thickness_mm) / NUMBERS.exp(log_rates)).max(axis: 0)
          ago.median if ago.median.positive?
        end

        # Share of the futures in which a component is at or below a thickness now.
        def chance_below(component, limit_mm)
          thickness_mm[components.index(component), true].le(limit_mm).count.fdiv(COUNT)
        end

        # at: row of a component -> its thickness now { mean_mm:, sd_mm: }
        def now(at) = { mean_mm: thickness_mm[at, true].mean, sd_mm: thickness_mm[at, true].stddev }

        # Wear rates of a component at 10, 50 and 90 %, mm per 1,000 km
        def rates(at)
          sorted = log_rates[at, true].sort
          [0.1, 0.5, 0.9].map { |probability| 1000 * Math.exp(sorted[(probability * (COUNT - 1)).round]) }
        end

        # The life of the first of these components in each future, km.
        def first_km(some = components)
          lives_km[some.map { |component| components.index(component) }, true].min(axis: 0)
        end

        # -> distances of a component to the limit, one for each future
        def life_km(component) = lives_km[components.index(component), true]

        private

        def follow
          above = thickness_mm - limit_mm
          @lives_km = Course.new(@start, @prior, blur(above - spells(above))).lives_km(steps(above))
        end

        # What a spell still to come takes (or spares) beyond usual wear, mm: no more than what it can in its time.
        def spells(above)
          lives = above.mean(axis: 0) / @prior.life_mm
          @prior
            .spells
            .sum(above * 0.0) do |how|
              times = NUMBERS.exp((self.class.normals[STRENGTH_ROW, true] * how[:log_sd]) + how[:log_mean])
              comes = Numo::DFloat.cast(self.class.chances[SPELL_ROW, true] < 1 - NUMBERS.exp(lives * -how[:per_life]))
              usual = (above.clip(0.0, nil) / times).clip(nil, @prior.life_mm * SPELL_SHARE)
              usual * ((times - 1) * comes)
            end
        end

        # Wear comes in gamma increments: their effect by the time the limit is met, drawn once. What is above the limit
        # now stays above it, so a component has passed its limit in the same futures for the pad and for the axle.
        def blur(above)
          own = self.class.normals[WEAR_ROW...(WEAR_ROW + components.length), true]
          common = self.class.normals[COMMON_ROW, true]
          normals = (own * Math.sqrt(1 - @prior.common_increment)) + (common * Math.sqrt(@prior.common_increment))
          blurred = above + (NUMBERS.sqrt(above.clip(0.0, nil) * @prior.increment_mm) * normals)
          standing = Numo::DFloat.cast(above.gt(0.0))
          (blurred * (1 - standing)) + (blurred.clip(LEAST_LEFT_MM, nil) * standing)
        end

        # Distances of the steps, growing evenly so that near ends are met as finely as far ones.
        def steps(above)
          middles = (above.clip(LEAST_ABOVE_MM, nil) / NUMBERS.exp(log_rates)).median(axis: 1)
          first = middles.min * NEAREST
          growth = (middles.max * FURTHEST / first)**(1.0 / (STEPS - 1))
          (0...STEPS).map { |at| first * (growth**at) }.each_cons(2).map { |one, other| other - one }.unshift(first)
        end
      end
    end
  end
end
