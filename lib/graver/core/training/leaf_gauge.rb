# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Leaves of a go/no-go gauge give an interval: what went in, and what did not.
      class LeafGauge < Drill
        FITS = (3..8)

        # -> Question
        def question = asking(say("drills.leaf", fits: @fits, next: @fits + 1), "choice", choices: choices)

        # answer: as it was given -> Marking
        def mark(answer)
          given = chosen(answer, choices)
          marking(
            given[:id] == "between",
            label("between"),
            say("drills.leaf_because", fits: @fits, next: @fits + 1),
            slip(given[:id])
          )
        end

        private

        def set_up = @fits = @draw.from(FITS)
        def choices = %w[exactly between at_least under].map { |id| { id:, label: label(id) } }
        def label(id) = say("drills.leaf_#{id}", fits: @fits, next: @fits + 1)
        def slip(id) = id == "exactly" ? say("drills.leaf_not_exact", fits: @fits) : nil
      end
    end
  end
end
