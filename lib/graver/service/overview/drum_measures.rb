# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What the rules of findings look at on a drum brake alone: how unevenly its shoes have worn, and the shape of its
      # drums.
      class DrumMeasures
        # A shoe that has lost less gives no ratio, mm.
        LEAST_GONE_MM = 0.3

        # file: AxleRecord; pads: { side => { "leading" => Thickness, ... } }, the shoes as read on one day
        def initialize(knowledge, file, pads)
          @knowledge = knowledge
          @file = file
          @pads = pads
        end

        # Of one side -> { "drum" => 1, "servo" => 0, "leading_ratio" => 2.3, "oval_mm" => 0.2, ... }
        def corner(side)
          { "drum" => 1, "servo" => @file.brake_kind.servo? ? 1 : 0, **gone(side), **beside(side), **oval(side) }
        end

        # Of both drums -> { "drums_apart_mm" => 0.3, ... }
        def axle
          left, right = @file.axle.sides.map { |side| survey(side)&.first&.maximum }
          return {} unless left && right

          apart = (left.value_mm - right.value_mm).abs
          told = apart > coverage * Math.hypot(left.standard_uncertainty_mm, right.standard_uncertainty_mm)
          limit = usual("drum_pair_mm")
          {
            "drums_apart_mm" => apart,
            "drums_apart_ratio" => told ? apart / limit : nil,
            "drums_limit_mm" => limit,
            "drum_left_mm" => left.value_mm,
            "drum_right_mm" => right.value_mm
          }
        end

        private

        # How much each shoe has lost, where new ones are known.
        def gone(side)
          new_mm = @file.known_new_pad_mm
          leading, trailing = @pads.fetch(side, {}).values_at("leading", "trailing")
          return {} unless new_mm && leading && trailing

          gone = [leading, trailing].map { |read| [new_mm - read.value_mm, 0.0].max }
          ratio = gone[1] < LEAST_GONE_MM ? nil : gone[0] / gone[1]
          { "leading_gone_mm" => gone[0], "trailing_gone_mm" => gone[1], "leading_ratio" => ratio }
        end

        # The rules about discs name theirs otherwise, as their limit is another.
        def beside(side)
          found = Core::Judgement::Unevenness.call(@pads, coverage:, names: @file.pads).fetch(side, {})
          { "shoes_thinner_mm" => found["corner_thinner_mm"], "corner_thinner_mm" => nil }
        end

        def oval(side)
          survey, date = survey(side)
          return {} unless survey&.spread_mm

          limit = usual("drum_ovality_mm")
          {
            "oval_mm" => survey.spread_mm,
            "oval_limit_mm" => limit,
            "oval_ratio" => survey.told? ? survey.spread_mm / limit : nil,
            "drum_places" => survey.places,
            "drum_read_on" => date.iso8601
          }
        end

        # -> [Core::Measurement::Survey, Date] of the drum that is on, or nil
        def survey(side)
          rows, date = @file.newest_rows("drum", side)
          return unless rows

          places = rows.map { |row| @knowledge.normalise.call(@file.reading_of(row), @file.part("drum")) }
          [Core::Measurement::Survey.of(places), date]
        end

        def coverage = @knowledge.findings.dig("coverage", "value")
        def usual(name) = @knowledge.measurement.dig("usual_limits", name, "value")
      end
    end
  end
end
