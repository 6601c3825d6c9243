# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Estimates the duration of a job: common practice, adjusted to the owner's own pace once jobs were timed.
      class Hours
        # low, high: hours; jobs: how many of the owner's own it rests on
        Range =
          Value.define(:low, :high, :jobs) do
            # "1.5 to 3 h": halves are enough for hours of work.
            def said
              from, upto = [low, high].map { |value| format("%g", (value * 2).round / 2.0) }
              from == upto ? "about #{from} h" : "#{from} to #{upto} h"
            end
          end

        # rules: { "lift" => { "minutes" => [from, to] }, "per_corner" => { work => ... }, "electric" => ...,
        # "own_spread" => { "share" => } }
        def initialize(rules)
          @rules = rules
        end

        # [Lift] -> [low, high] hours by common practice
        def usual(lifts)
          parts =
            lifts.flat_map do |lift|
              [minutes(@rules.fetch("lift")), *lift.corners.flat_map { |corner| of_corner(corner) }, *electric(lift)]
            end
          parts.transpose.map { |column| column.sum / 60.0 }
        end

        # earlier: [[hours taken, usual low, usual high], ...] of the owner's own jobs -> Range
        #
        # Own pace: the geometric mean of what a job took against the middle of what is usual for it; the spread shrinks
        # with the number of jobs, never below own_spread either side.
        def call(lifts, earlier)
          low, high = usual(lifts)
          return Range.new(low:, high:, jobs: 0) if earlier.empty?

          logs = earlier.map { |taken, from, to| Math.log(taken / Math.sqrt(from * to)) }
          middle = Math.sqrt(low * high) * Math.exp(logs.sum / logs.length)
          spread = [(Math.sqrt(high / low) - 1) / Math.sqrt(earlier.length), @rules.dig("own_spread", "share")].max
          Range.new(low: middle / (1 + spread), high: middle * (1 + spread), jobs: earlier.length)
        end

        private

        def minutes(entry) = entry.fetch("minutes").map(&:to_f)

        def of_corner(corner)
          works = corner.configuration.fetch("work")
          captive = works.include?("rotor_off") && corner.configuration["retentions"] == "captive"
          discs = corner.side == "both" ? 2 : 1
          (works + (captive ? ["captive"] : []))
            .filter_map { |work| @rules.fetch("per_corner")[work] }
            .flat_map { |entry| [minutes(entry)] * discs }
        end

        def electric(lift)
          opened = lift.corners.map(&:configuration).select { |each| each["work"].include?("open") }
          opened.any? { |each| each["parking_brakes"] == "electric" } ? [minutes(@rules.fetch("electric"))] : []
        end
      end
    end
  end
end
