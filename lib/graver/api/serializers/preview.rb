# frozen_string_literal: true

require_relative "corners"

module Graver
  module API
    module Serializers
      # What a half-entered look-over says so far.
      class Preview
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # file: Service::AxleFile; entry: Service::LookOverEntry
        def call(file, entry)
          read = entry.lines.select(&:thickness)
          now = read.to_h { |line| [line.given.values_at(:side, :pad).compact.join("_"), mean_and_sd(line.thickness)] }
          { corners: Corners.new(@knowledge).call(file, now), positions: read.map { |line| position(line) },
            faults: (entry.refusal&.faults || []).map(&:to_h) }
        end

        private

        def mean_and_sd(thickness) = { mean_mm: thickness.value_mm, sd_mm: thickness.standard_uncertainty_mm }

        def position(line)
          thickness = line.thickness
          { at: line.at, mm: thickness.value_mm.round(3), sd_mm: thickness.standard_uncertainty_mm.round(3), lower_mm: thickness.lower_mm&.round(3),
            upper_mm: thickness.upper_mm&.round(3), variation_mm: line.survey&.variation_mm&.round(3), questions: line.questions }
        end
      end
    end
  end
end
