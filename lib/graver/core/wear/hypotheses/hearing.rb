# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Uses claims without a reading: the car's own counter, a shop.
        module Hearing
          # Nearer to its limit than this, a component's life is no smooth function of its thickness.
          LEAST_ABOVE_MM = 0.5
          # A claim of almost nothing left says little.
          LEAST_LEFT_KM = 500.0
          # The chance that a claim is simply wrong, and how many times the usual spread it is then off.
          WRONG = 0.1
          WRONG_TIMES = 4.0

          # Hearsay of what is left until the first component meets its limit, or of the thinnest. on: ids that wear
          def observe_claim(said, limit_mm, on)
            return if on.empty?

            said.left_km ? hear_life(said, limit_mm, on) : observe_thinnest(said.thickness_mm, said.spread, on)
          end

          # What the thinnest of these components measures, mm, as somebody says or as is usual. wrong: chance that it
          # doesn't hold, and its spread then, in multiples.
          def observe_thinnest(thickness_mm, spread, on, wrong: WRONG, times: WRONG_TIMES)
            mm = rows(on.map { |one| @mean[thickness(one), true] })
            first = first_of(mm)
            take(thickness_mm, spread, (mm * first).sum(axis: 0), slopes(on, first) { 1.0 }, wrong, times)
          end

          # Takes in a statement about the axle's mean rate over a life: natural logarithm of mm per km, and its
          # standard deviation.
          def hear_rate(log_rate, spread)
            slopes = @mean * 0.0
            slopes[BASE, true] = 1.0
            take(log_rate, spread, @mean[BASE, true] + (trend * (0.5 - gone)), slopes)
          end

          private

          # log life = log(thickness - limit) - log rate, linearised at each hypothesis' belief.
          def hear_life(said, limit_mm, on)
            above = rows(on.map { |one| @mean[thickness(one), true] - limit_mm }).clip(LEAST_ABOVE_MM, nil)
            lives = NUMBERS.log(above) - rows(on.map { |one| log_means[components.index(one), true] })
            first = first_of(lives)
            slopes = slopes(on, first) { |at| 1 / above[at, true] }
            [BASE, DRIFT].each { |unknown| slopes[unknown, true] -= 1 }
            on.each_with_index { |one, at| slopes[deviation(one), true] -= first[at, true] }
            value = Math.log([said.left_km, LEAST_LEFT_KM].max)
            take(value, said.spread, (lives * first).sum(axis: 0), slopes)
          end

          def rows(list) = Numo::DFloat.vstack(list)

          # 1 where a component is the least, per hypothesis; only one of equals.
          def first_of(values)
            least = values.min_index(axis: 0) / length
            Numo::DFloat.cast(Numo::Int32.new(values.shape[0]).seq[true, :new].eq(least[:new, true]))
          end

          # The dependence of the claim on each unknown; the block gives the slope of a component's thickness.
          def slopes(on, first)
            slopes = @mean * 0.0
            on.each_with_index { |one, at| slopes[thickness(one), true] = first[at, true] * yield(at) }
            slopes
          end

          def take(value, spread, mean, slopes, wrong = WRONG, times = WRONG_TIMES)
            across = (@covariance * slopes[:new, true, true]).sum(axis: 1)
            variance = (slopes * across).sum(axis: 0).clip(1e-9, nil)
            told = normal(value, mean, variance, pair(spread**2, (spread * times)**2))
            take_in(told, wrong, across, variance)
          end
        end
      end
    end
  end
end
