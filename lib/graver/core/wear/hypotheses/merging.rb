# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Merges hypotheses that are nearly the same.
        module Merging
          # Values that may differ between two with the same story.
          AVERAGED = %i[changed_km quiet gone].freeze
          # Bases differ by a few tens, so that sorting by this keeps histories together.
          APART = 1000.0

          # Merges those with the same assumptions (`story`) and nearly the same beliefs into one, with the mean and
          # covariance of both together.
          def merge
            pairs, singles = alike
            return if pairs.empty?

            ones, others = pairs.transpose
            other = taken(others)
            select([*ones, *singles])
            fuse(0...pairs.length, *other)
          end

          private

          # [[one, other], ...] to merge, and the rest
          def alike
            histories, bases, spreads = history_hash.to_a, @mean[BASE, true].to_a, @covariance[BASE, BASE, true].to_a
            order = (0...length).sort_by { |at| (histories[at] * APART) + bases[at] }
            pairs, singles = [], []
            while (at = order.shift)
              other = order.first
              near =
                other && histories[other] == histories[at] &&
                  (bases[other] - bases[at])**2 < NEAR * NEAR * (spreads[at] + spreads[other]) / 2
              near ? pairs << [at, order.shift] : singles << at
            end
            [pairs, singles]
          end

          # Means, covariances, log weights, kinds and marks of these
          def taken(indexes)
            at = Numo::Int32.cast(indexes)
            [@mean[true, at], @covariance[true, true, at], @log_weight[at], @kinds[true, at], @told && @told[true, at]]
          end

          # The first ones become the mixture of themselves and the others.
          def fuse(first, mean, covariance, log_weight, kinds, told)
            sum = log_sum(@log_weight[first], log_weight)
            share = NUMBERS.exp(@log_weight[first] - sum)
            rest = 1 - share
            apart = @mean[true, first] - mean
            average(@covariance[true, true, first], covariance, share, rest)
            @covariance[true, true, first].inplace.+(apart[true, :new, true] * (apart * share * rest)[:new, true, true])
            average(@mean[true, first], mean, share, rest)
            AVERAGED.each { |name| average(@kinds[ROWS[name], first], kinds[ROWS[name], true], share, rest) }
            average(@told[true, first], told, share, rest) if told
            @log_weight[first] = sum
          end

          # one: a view, changed in place
          def average(one, other, share, rest)
            one.inplace.*(share)
            one.inplace + (other * rest)
          end
        end
      end
    end
  end
end
