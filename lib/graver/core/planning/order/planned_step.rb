# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A step at its place in a job. lift, axle, side are nil where the step is done once for more than that.
      PlannedStep =
        Value.define(:step, :lift, :axle, :side) do
          # "front.left.pads_in", "front.pump", "settle": the reference in ticks and notes. Memoized, as a plan asks for
          # it thousands of times.
          attr_reader :key

          def initialize(**given)
            @key = given.values_at(*(given[:axle] ? %i[axle side] : %i[lift])).push(given[:step]&.id).compact.join(".")
            super
          end

          # "front left", "front" of several axles, "both axles", or nil; a trailer's only axle has no name
          def place
            named = [axle || lift, side].reject { |each| [nil, "both", "single"].include?(each) }
            named = ["both axles"] if axle.nil? && lift == "both"
            named.empty? ? nil : named.join(" ")
          end
        end
    end
  end
end
