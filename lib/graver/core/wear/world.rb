# frozen_string_literal: true

require_relative "axle_posterior"
require_relative "survival"

module Graver
  module Core
    module Wear
      # The readings seen under one supposition of how steady wear is; several are weighed by how well they explain them.
      class World
        attr_reader :posterior

        # supposition: an entry of Prior#worlds, { share:, and the fields of Prior that differ }.
        def initialize(history, prior, supposition)
          @prior = prior.with(**supposition.except(:share))
          @limit_mm = history.limit_mm
          @posterior = AxlePosterior.new(history, @prior)
          @share = supposition.fetch(:share)
        end

        def log_weight = Math.log(@share) + posterior.log_evidence
        def reach_km = Survival.reach_km(posterior, @limit_mm)
        def survival(distances) = Survival.new(posterior, @prior, @limit_mm, distances)
      end
    end
  end
end
