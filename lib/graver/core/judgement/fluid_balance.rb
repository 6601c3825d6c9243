# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Whether the fall of the fluid is explained by the wear of the pads. Levels in parts of MIN to MAX, volumes in
      # ml.
      FluidBalance =
        Value.define(:fall, :explained, :unexplained, :sure, :fall_ml, :explained_ml) do
          # worn_ml: what the pistons took up since; worn_error_ml and level_error: one standard deviation each;
          # coverage: of them beyond which a difference is sure.
          def self.of(before:, now:, worn_ml:, worn_error_ml:, reservoir_ml:, level_error:, coverage:)
            fall = before - now
            explained = worn_ml / reservoir_ml
            error = Math.sqrt((2 * (level_error**2)) + ((worn_error_ml / reservoir_ml)**2))
            new(
              fall:,
              explained:,
              unexplained: fall - explained,
              sure: fall - explained > coverage * error,
              fall_ml: fall * reservoir_ml,
              explained_ml: worn_ml
            )
          end
        end
    end
  end
end
