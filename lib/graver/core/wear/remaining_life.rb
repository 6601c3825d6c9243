# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # How far until a limit, as a distribution: the chance of having passed it at each distance from now (km).
      class RemainingLife
        PROBABILITIES = [0.05, 0.10, 0.25, 0.50, 0.75, 0.90, 0.95].freeze

        # { 0.05 => value, ... } -> { "p05" => the block's result, ... }
        def self.keyed(by_probability)
          by_probability.to_h { |probability, value| [format("p%02d", (probability * 100).round), yield(value)] }
        end

        # lives: Numo::DFloat of distances (km, 0 when the limit is already passed), each as likely as the others.
        def self.of(lives)
          sorted = lives.sort.to_a
          count = sorted.length
          gone = sorted.bsearch_index(&:positive?) || count
          new([0.0, *sorted.drop(gone), (sorted.last * 1.02) + 1], [gone.fdiv(count), *even(count).drop(gone), 1.0])
        end

        # Chances in the middle of `count` even parts.
        def self.even(count) = (@even ||= {})[count] ||= Array.new(count) { |at| (at + 0.5) / count }.freeze
        private_class_method :even

        attr_reader :distances_km, :passed

        # distances_km rising from 0; passed: chance of having passed the limit at each, never falling.
        def initialize(distances_km, passed)
          @distances_km = distances_km.freeze
          @passed = passed.freeze
          freeze
        end

        # The same chances at other distances; the block maps a distance and must not turn their order round.
        def mapped(&block) = self.class.new(distances_km.map(&block), passed)

        # Distance at which the limit has been passed with the given chance; 0 when it already may have been.
        # Linear between the points of the curve, and never beyond its end.
        def quantile(probability)
          return 0.0 if passed.first >= probability

          at = passed.bsearch_index { |chance| chance >= probability }
          return distances_km.last unless at

          share = (probability - passed[at - 1]) / (passed[at] - passed[at - 1])
          distances_km[at - 1] + (share * (distances_km[at] - distances_km[at - 1]))
        end

        # { 0.05 => km, ... }
        def quantiles = PROBABILITIES.to_h { |probability| [probability, quantile(probability)] }

        # Chance that the limit is passed within a distance.
        def chance_passed(distance_km)
          return passed.first if distance_km <= 0
          return passed.last if distance_km >= distances_km.last

          at = distances_km.bsearch_index { |km| km >= distance_km }
          span = distances_km[at] - distances_km[at - 1]
          passed[at - 1] + ((passed[at] - passed[at - 1]) * (distance_km - distances_km[at - 1]) / span)
        end

        # The chance that the limit is passed already.
        def chance_now = passed.first
      end
    end
  end
end
