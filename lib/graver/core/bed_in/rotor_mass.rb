# frozen_string_literal: true

module Graver
  module Core
    module BedIn
      # Estimates a rotor's mass from its outside: an iron ring with its hat.
      module RotorMass
        module_function

        # diameter_mm, thickness_mm; vented; rules: { density, inner_share (of the diameter), vented_share (iron in the
        # ring), hat_share (more for the hat) } -> kg
        def call(diameter_mm:, thickness_mm:, vented:, rules:)
          outer, thickness = diameter_mm / 1000.0, thickness_mm / 1000.0
          inner = rules.fetch(:inner_share) * outer
          ring = Math::PI / 4 * ((outer**2) - (inner**2)) * thickness
          ring * rules.fetch(:density) * (vented ? rules.fetch(:vented_share) : 1.0) * (1 + rules.fetch(:hat_share))
        end
      end
    end
  end
end
