# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Whether the fall of the fluid is explained by the wear of the pads. Levels and shares in parts of MIN to MAX.
      FluidBalance =
        Value.define(:fall, :explained, :unexplained, :sure) do
          # explained: what the pistons took up since; explained_error and level_error: one standard deviation each;
          # coverage: of them beyond which a difference is sure.
          def self.of(before:, now:, explained:, explained_error:, level_error:, coverage:)
            fall = before - now
            error = Math.sqrt((2 * (level_error**2)) + (explained_error**2))
            new(fall:, explained:, unexplained: fall - explained, sure: fall - explained > coverage * error)
          end
        end
    end
  end
end
