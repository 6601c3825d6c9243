# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Measurement
      # How well each method reads each part, and what is taken where the owner gave nothing.
      # by_method: { "caliper" => { "pad" => 0.15, "rotor" => 0.08 } }, standard uncertainties in mm.
      # tabs: { "squealer" => { height_mm:, standard_uncertainty_mm: } }; largest: { "pad" => 40.0, "rotor" => 60.0 }.
      Rules = Value.define(:by_method, :percent_standard_uncertainty, :gauge_step_mm, :typical_new_mm, :typical_backing_mm,
                           :typical_backing_uncertainty_mm, :known_backing_uncertainty_mm, :tabs, :largest) do
        def method?(method, part) = method == "percent" || by_method.fetch(method, {}).key?(part)
        def standard_uncertainty_mm(method, part) = by_method.fetch(method).fetch(part)
        def tab(kind) = tabs.fetch(kind)
        def largest_mm(part) = largest.fetch(part)
      end
    end
  end
end
