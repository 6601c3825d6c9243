# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # The measures the rules of state look at, from an axle's forecast. Keys are the `measure` names of the rule
      # table; a measure that cannot be said is nil. Chances are 0 to 1, thicknesses mm, distances km, times days.
      module AxleMeasures
        CAREFUL = 0.10

        module_function

        # answer: Schedule::AxleForecast::Answer; floor_mm: thickness below which the vehicle must not be driven.
        # most_days: after which a look is due whatever the distance.
        def call(answer, floor_mm:, discard_mm:, most_days:)
          pads(answer, floor_mm).merge(
            rotors(answer, discard_mm),
            looks(answer, most_days),
            "doubted_readings" => doubted(answer),
            **renewed(answer)
          )
        end

        # When to inspect next: because of wear, or because a year has passed since the last inspection.
        def looks(answer, most_days)
          due = answer.look_again_date(most_days) or return {}
          by_time = answer.last_look && (answer.last_look + most_days)
          days = (due - answer.as_of_date).to_i
          {
            "inspection_overdue_days" => by_time && (answer.as_of_date - by_time).to_i,
            "last_look" => answer.last_look&.iso8601,
            "inspect_on" => due.iso8601,
            **(by_time && due < by_time ? { by_wear(answer, most_days) => days } : by_date(days))
          }
        end

        def by_wear(answer, most_days) = answer.renew_next?(most_days) ? "renew_wear_days" : "inspect_wear_days"

        # Overdue or never inspected: other rules cover those.
        def by_date(days) = days.positive? ? { "inspect_time_days" => days } : {}

        def pads(answer, floor_mm)
          return { "pad_readings" => 0 } unless (result = answer.pads)

          {
            "pad_readings" => result.readings,
            "unread_pads" => result.unread.length,
            "limit_mm" => result.limit_mm,
            "floor_mm" => floor_mm,
            "thinnest_pad_mm" => thinnest(result),
            "pad_below_floor_chance" => chance_below(result, floor_mm),
            "likely_due_chance" => (result.first.chance_now if result.unread.any?),
            "least_km" => result.first.quantile(CAREFUL),
            "look_again_km" => answer.look_again_at_either_km,
            **due(answer, result.read_first)
          }
        end

        # Only of pads that were read: unread ones are inspected before anything is bought.
        def due(answer, life)
          return {} unless life

          {
            "pad_due_chance" => life.chance_now,
            "careful_km" => life.quantile(CAREFUL),
            "careful_days" => answer.timeline.days_until(life).fetch(CAREFUL)
          }
        end

        # Unread rotors have no probability worth a verdict.
        def rotors(answer, discard_mm)
          result = answer.rotors
          return {} unless result&.readings&.positive?

          {
            "rotor_below_discard_chance" => result.first.chance_now,
            "thinnest_rotor_mm" => thinnest(result),
            "discard_mm" => discard_mm
          }
        end

        # Of the newest set that was probably fitted without being logged.
        def renewed(answer)
          found = answer.pads&.renewed&.last or return {}
          { "unlogged_set_chance" => found[:chance], "unlogged_before_km" => found[:before_km] }
        end

        def doubted(answer) = [answer.pads, answer.rotors].compact.sum { |result| result.doubted.length }
        def thinnest(result) = result.now.values.map { |now| now[:mean_mm] }.min

        def chance_below(result, limit_mm)
          result.now.keys.map { |component| result.chance_below(component, limit_mm) }.max
        end
      end
    end
  end
end
