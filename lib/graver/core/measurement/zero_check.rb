# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # What an instrument showed on a known size: closed jaws (0) or a gauge block. mm.
      ZeroCheck =
        Value.define(:date, :reference_mm, :read_mm, :reference_uncertainty_mm) do
          # The error of the zero; a corrected reading is the reading minus this.
          def offset_mm = read_mm - reference_mm

          # Good when the offset is no more than the instrument's own steps and the block explain.
          # coverage: standard uncertainties allowed; least_mm: an offset too small to matter.
          def good?(instrument_uncertainty_mm:, resolution_mm:, coverage:, least_mm:)
            allowed =
              coverage *
                TypeB.combined(
                  instrument_uncertainty_mm,
                  TypeB.resolution(resolution_mm || 0),
                  reference_uncertainty_mm
                )
            offset_mm.abs <= [allowed, least_mm].max + 1e-9
          end
        end
    end
  end
end
