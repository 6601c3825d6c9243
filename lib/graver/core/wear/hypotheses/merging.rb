# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Making one of two suppositions that are nearly the same by now.
        module Merging
          # What two that tell the same story may still differ in.
          AVERAGED = %i[changed_km quiet].freeze

          # Those that suppose the same (`story`) and by now believe nearly the same become one, of the same mean and
          # covariance as the two had together.
          def merge
            pairs, singles = alike
            return if pairs.empty?

            one, other = pairs.transpose.map { |list| Numo::Int32.cast(list) }
            alone = Numo::Int32.cast(singles)
            share, log_sum = shares(one, other)
            apart = @mean[true, one] - @mean[true, other]
            both = (@covariance[true, true, one] * share) + (@covariance[true, true, other] * (1 - share))
            both += apart[true, :new, true] * (apart * (share * (1 - share)))[:new, true, true]
            @covariance = joined(both, @covariance[true, true, alone])
            @mean = joined((@mean[true, one] * share) + (@mean[true, other] * (1 - share)), @mean[true, alone])
            @log_weight = joined(log_sum, @log_weight[alone])
            @kinds.each do |name, list|
              both = AVERAGED.include?(name) ? (list[one] * share) + (list[other] * (1 - share)) : list[one]
              @kinds[name] = joined(both, list[alone])
            end
            @told &&= joined((@told[true, one] * share) + (@told[true, other] * (1 - share)), @told[true, alone])
          end

          private

          # [[one, other], ...] to be made one, and the rest
          def alike
            stories, bases, spreads = story.to_a, @mean[BASE, true].to_a, @covariance[BASE, BASE, true].to_a
            order = (0...length).sort_by { |at| [stories[at], bases[at]] }
            pairs, singles = [], []
            while (at = order.shift)
              other = order.first
              near =
                other && stories[other] == stories[at] &&
                  (bases[other] - bases[at])**2 < NEAR * NEAR * (spreads[at] + spreads[other]) / 2
              near ? pairs << [at, order.shift] : singles << at
            end
            [pairs, singles]
          end

          def shares(one, other)
            first, second = @log_weight[one], @log_weight[other]
            sum = log_sum(first, second)
            [NUMBERS.exp(first - sum), sum]
          end

          def joined(one, other) = other.empty? ? one.dup : one.concatenate(other, axis: -1)
        end
      end
    end
  end
end
