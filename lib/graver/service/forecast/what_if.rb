# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # "What if": an axle's forecast under the owner's assumptions, on top of what is on file. Nothing is stored.
      class WhatIf
        include Base::FieldErrors

        # before, after: Core::Schedule::AxleForecast::Answer; said: [sentence] about each assumption, with its source
        Compared = Core::Value.define(:before, :after, :said)
        FACTOR = (0.1..10)
        YEAR_KM = (100..300_000)
        NEW_PADS_MM = (2..30)

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # given, all optional, texts: year_distance (in the vehicle's unit), use (an id), factor, freed (a side), pads
        # (an id or "same"), pads_mm -> Compared. Raises InvalidEntry, NotFound.
        def call(file, given, limit_mm:)
          @said = []
          @faults = []
          before = Household::AxleAnswer.new(@context).call(file)
          timeline, supposed = timeline(file, before, given), supposed(file, given)
          raise_faults

          after =
            @knowledge
              .outlook
              .suppose(before, timeline:) do |part, result|
                result.supposing(**(part == "pad" ? { limit_mm:, **supposed } : supposed.slice(:factor)))
              end
          Compared.new(before:, after:, said: @said)
        end

        private

        def timeline(file, answer, given)
          return answer.timeline if blank?(given[:year_distance])

          unit = file.vehicle.distance_unit
          km =
            number("year_distance", given[:year_distance], nil) do |value|
              Core::Quantity::DISTANCE.to_base(value, unit)
            end or return answer.timeline
          unless YEAR_KM.cover?(km)
            return(
              fault(
                "year_distance",
                "out_of_range",
                Message.of("faults.year_distance_between", least: YEAR_KM.min, most: YEAR_KM.max)
              )
            )
          end

          @said << Message.of("what_if.year", distance: given[:year_distance].strip, unit:)
          Core::Schedule::Timeline.new(
            answer.driving.with(km_per_day: km / Household::PlannedEvents::DAYS_A_YEAR),
            answer.as_of_date,
            trips: answer.timeline.trips,
            changes: []
          )
        end

        def supposed(file, given)
          factor = use(given[:use]) * (blank?(given[:factor]) ? 1.0 : own_factor(given[:factor]))
          new_mm = new_pads(file, given)
          factor *= kind("pads", given[:pads]) unless ["", "same"].include?(given[:pads].to_s)
          { factor:, evened: freed(file, given[:freed]), new_mm: }.compact
        end

        def use(id) = blank?(id) ? 1.0 : kind("uses", id)

        def kind(group, id)
          found = @knowledge.what_if.fetch(group)[id]
          unless found
            return(
              fault(
                group == "uses" ? "use" : "pads",
                "out_of_range",
                Message.of("faults.choose", choices: @knowledge.what_if.fetch(group).keys)
              ) || 1.0
            )
          end

          @said << Message.of(
            "what_if.kind",
            label: found["label"],
            factor: found["factor"],
            source: @knowledge.source_title(found["source"]).downcase
          )
          found["factor"]
        end

        def own_factor(text)
          factor = number("factor", text, FACTOR) or return 1.0
          @said << Message.of("what_if.own_factor", factor:)
          factor
        end

        def freed(file, side)
          return [] if blank?(side)

          unless file.axle.sides.include?(side)
            fault("freed", "out_of_range", Message.of("faults.choose", choices: file.axle.sides))
          end
          @said << file.wording.own(Message.of("what_if.freed", side:))
          file.positions.select { |position| position.start_with?("#{side}_") }
        end

        def new_pads(file, given)
          return if blank?(given[:pads])

          known = file.new_pad_mm
          mm = blank?(given[:pads_mm]) ? known : number("pads_mm", given[:pads_mm], NEW_PADS_MM)
          @said << file.wording.own(Message.of("what_if.new_pads", mm:)) if mm
          mm
        end

        def number(field, text, range, &)
          under(field) { checked(field, text, range, &) }
        end

        def checked(field, text, range)
          value = Core::Quantity::EnteredNumber.parse(text.to_s).value.to_f
          value = yield(value) if block_given?
          if range.nil? || range.cover?(value)
            value
          else
            fault(field, "out_of_range", Message.of("faults.between", least: range.min, most: range.max))
          end
        end

        def blank?(text) = text.to_s.strip.empty?
      end
    end
  end
end
