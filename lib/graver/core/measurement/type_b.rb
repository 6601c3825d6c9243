# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # Standard uncertainties from knowledge rather than from repeated readings (type B), JCGM 100:2008, 4.3.
      module TypeB
        ROOT_THREE = Math.sqrt(3)

        module_function

        # "Within plus or minus a, nothing more known": a rectangle (4.3.7).
        def rectangular(half_width) = half_width / ROOT_THREE

        # A scale with steps: half a step to either side (F.2.2.1: 0.29 of the step).
        def resolution(step) = rectangular(step / 2.0)

        # "Between these two": a rectangle of that width.
        def between(lower, upper) = rectangular((upper - lower) / 2.0)

        # Independent contributions to one sum (5.1.2).
        def combined(*terms) = Math.sqrt(terms.sum { |term| term * term })

        # What is left of a sum when one of its contributions is taken out.
        def without(total, term) = Math.sqrt([(total * total) - (term * term), 0.0].max)

        # A stated uncertainty U with its coverage factor k (4.3.3).
        def expanded(uncertainty, coverage) = uncertainty / coverage
      end
    end
  end
end
