# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Everything the rules of findings look at on one axle, as places with their measures.
      class FindingInputs
        # file: AxleRecord; answer: Core::Schedule::AxleForecast::Answer; seen: [CurrentConditions::Observation]
        def initialize(knowledge, file, answer, seen)
          @knowledge = knowledge
          @file = file
          @answer = answer
          @seen = seen
          @coverage = knowledge.findings.dig("coverage", "value")
        end

        # -> [Core::Judgement::Place]
        def call = [axle] + positions + corners

        private

        def place(scope, side, pad, measures)
          Core::Judgement::Place.new(scope:, axle_id: @file.axle.id, side:, pad:, measures:)
        end
        def label(*words) = AxleName.before(@file.axle.name, words.compact.join(" ")).rstrip

        def positions
          return [] unless @answer.pads

          @file.axle.sides.product(@file.pads).map { |side, pad| place("position", side, pad, position(side, pad)) }
        end

        def position(side, pad)
          last = newest("pad", side, pad)
          below = ->(limit_mm) { limit_mm && last && below_chance("#{side}_#{pad}", limit_mm) }
          now = now("#{side}_#{pad}")
          floor_mm, maker_mm = @file.floor.mm, @file.least_pad_mm
          {
            "place" => @file.wording.own(label(side, pad, "pad")),
            "now_mm" => now[:mean_mm],
            "error_mm" => @coverage * now[:sd_mm],
            "floor_mm" => floor_mm,
            "floor_is" => Typography.inside(@file.floor.label),
            "maker_mm" => maker_mm,
            "limit_mm" => @file.limit_mm,
            "limit_from" => @file.limit_from,
            "below_floor_chance" => below[floor_mm],
            "below_maker_chance" => below[maker_mm],
            "below_limit_chance" => below[@file.limit_mm],
            "metal" => last&.event == "metal" ? 1 : nil,
            "read_on" => last&.date&.iso8601,
            "read_how" => read_how(last),
            **(@file.drum? ? {} : taper(side, pad))
          }
        end

        # A reading at or below a limit counts, whatever was expected.
        def below_chance(position, limit_mm)
          read.out?(position, limit_mm) ? 1.0 : @answer.pads.chance_below(position, limit_mm)
        end

        # The reading if it is at or below the limit, else today's estimate.
        def now(position)
          return @answer.pads.now.fetch(position) unless read.out?(position, @file.limit_mm)

          entry = read.certain.find { |each| each.position == position }.entry
          thickness = thickness(entry)
          { mean_mm: thickness.value_mm, sd_mm: thickness.standard_uncertainty_mm }
        end

        def read = @read ||= PadsRead.new(@knowledge, @file)

        # The newest thickness of the set that is on now.
        def newest(part, side, pad) = @file.since_fit(part, side, pad).reverse.find(&:thickness?)

        def read_how(entry)
          return Message.of("findings.not_read") unless entry
          return Message.of("findings.last_read", day: entry.date) unless entry.reading

          Message.of("findings.last_read_by", day: entry.date, method: method_label(entry))
        end
        def method_label(entry)
          (
            @knowledge.measurement.dig("methods", entry.reading.method, "label") ||
              @knowledge.measurement.dig("percent", "label")
          ).downcase
        end

        def taper(side, pad)
          survey, date = survey("pad", side, pad)
          return {} unless survey&.spread_mm

          { "taper_mm" => survey.told? ? survey.spread_mm : nil, "places" => survey.places, "read_on" => date.iso8601 }
        end

        # Several places of the newest inspection at a position: [Survey, date], or nil.
        def survey(part, side, pad)
          rows, date = @file.newest_rows(part, side, pad)
          rows && [survey_of(rows, part), date]
        end

        def survey_of(rows, part)
          Core::Measurement::Survey.of(
            rows.map { |row| @knowledge.normalise.call(@file.reading_of(row), @file.part(part)) }
          )
        end

        def corners
          date, pads = newest_pads
          uneven = Core::Judgement::Unevenness.call(pads, coverage: @coverage, names: @file.pads)
          pace = WearRateMeasures.new(@answer, @file.pads)
          @file.axle.sides.map do |side|
            measures = [uneven.fetch(side, {}), pace.of(side), metal(side), *of_brake(side)].reduce(:merge)
            place("corner", side, nil, { "place" => label(side), "read_on" => date&.iso8601, **measures })
          end
        end

        # What there is of a disc or of a drum brake alone.
        def of_brake(side)
          return [drums.corner(side)] if @file.drum?

          [variation(side), runout(side), faces(side), shoe(side), { "opposed" => @file.opposed? ? 1 : 0 }]
        end

        def drums = @drums ||= DrumMeasures.new(@knowledge, @file, newest_pads.last)

        # Compares only pads read on the same day, and none with a flag.
        def newest_pads = @newest_pads ||= find_newest_pads

        def find_newest_pads
          doubted = @answer.pads ? @answer.pads.doubted.map { |doubt| doubt[:ref] } : []
          entries =
            @file.axle.sides.product(@file.pads).to_h { |side, pad| [[side, pad], newest("pad", side, pad)] }.compact
          entries.reject! { |_, entry| entry.trust < 1 || doubted.include?(entry.ref) }
          date = entries.values.map(&:date).max
          same = entries.select { |_, entry| entry.date == date }
          pads =
            same.each_with_object({}) { |((side, pad), entry), found| (found[side] ||= {})[pad] = thickness(entry) }
          [date, pads]
        end

        # A squealer, a light and bare metal say where a pad is too.
        def thickness(entry)
          if entry.reading
            @knowledge.normalise.call(entry.reading, @file.part("pad"))
          else
            @knowledge.normalise.event(entry.event)
          end
        end

        # Bare metal on the current rotor.
        def metal(side)
          since =
            @file.entries.rindex do |entry|
              entry.part == "rotor" && entry.renewal? && [nil, side].include?(entry.side)
            end || -1
          ran =
            @file
              .entries
              .each_with_index
              .find { |entry, at| at > since && entry.event == "metal" && entry.side == side }
              &.first
          ran ? { "metal_ran" => 1, "metal_pad" => ran.pad, "metal_on" => ran.date.iso8601 } : {}
        end

        def variation(side)
          survey, date = survey("rotor", side, nil)
          return {} unless survey&.spread_mm

          limit, from = limit("rotor.variation_limit", "thickness_variation_mm")
          {
            "variation_mm" => survey.spread_mm,
            "variation_limit_mm" => limit,
            "variation_from" => from,
            "variation_ratio" => survey.told? ? survey.spread_mm / limit : nil,
            "rotor_places" => survey.places,
            "rotor_read_on" => date.iso8601
          }
        end

        # The first reading over the limit is usually rust on the hub; one that is over it again, or on a hub marked
        # clean that day, is the rotor.
        def runout(side)
          found =
            @file.surveys("runout", side).map { |rows, date| [survey_of(rows, "runout").minimum.value_mm, date] }.to_a
          read, date = found.first
          return {} unless read

          limit, from = limit("rotor.runout_limit", "lateral_runout_mm")
          again = found.count { |mm, _| mm > limit } > 1 || hub_clean?(side, date)
          {
            "runout_mm" => read,
            "runout_limit_mm" => limit,
            "runout_from" => from,
            (again ? "runout_ratio" : "runout_first_ratio") => read / limit,
            "runout_read_on" => date.iso8601
          }
        end

        def hub_clean?(side, date)
          @seen.any? do |mark|
            mark.axle_id == @file.axle.id && mark.side == side && mark.date == date &&
              "#{mark.item.id}.#{mark.mark.id}" == "hub.clean"
          end
        end

        # One face bad and the other marked in order, or not marked at all.
        def faces(side)
          marks =
            @seen.select { |mark| mark.axle_id == @file.axle.id && mark.side == side && mark.item.id == "rotor_face" }
          bad = marks.select { |mark| mark.mark.severity }
          return {} unless bad.map(&:face).uniq.length == 1 && marks.any? { |mark| mark.mark.good }

          {
            "faces_apart" => 1,
            "bad_face" => bad.first.face,
            "bad_mark" => bad.map { |mark| mark.mark.label }.join(" and "),
            "faces_on" => bad.first.date.iso8601
          }
        end

        # The thinnest lining of a parking shoe against its least.
        def shoe(side)
          survey, date = survey("shoe", side, nil)
          least_mm = @file.length_mm("shoe.discard_thickness")
          return {} unless survey && least_mm

          read = survey.minimum.value_mm
          {
            "shoe_mm" => read,
            "shoe_least_mm" => least_mm,
            "shoe_spare_mm" => read - least_mm,
            "shoe_on" => date.iso8601
          }
        end

        def limit(key, usual)
          own = @file.length_mm(key)
          if own
            [own, Message.of("findings.your_entry")]
          else
            [@knowledge.measurement.dig("usual_limits", usual, "value"), Message.of("findings.common_practice")]
          end
        end

        def axle
          beside = @file.drum? ? drums.axle : PistonMeasures.new(@file, @answer).call
          place("axle", nil, nil, { "place" => label, **due, **beside })
        end

        # What is due of the pads, in words.
        def due
          pads = @answer.pads
          return {} unless (life = pads&.read_first)

          careful_km, days =
            life.quantile(Core::Judgement::AxleMeasures::CAREFUL),
            @answer.timeline.days_until(life).fetch(Core::Judgement::AxleMeasures::CAREFUL)
          unit = @file.vehicle.distance_unit
          {
            "pad_due_chance" => life.chance_now,
            "careful_days" => days,
            "careful_said" => Message.distance(careful_km, unit),
            "likely_said" => Message.distance(life.quantile(0.5), unit),
            "careful_when" =>
              days < 14 ? Message.of("findings.any_day") : Message.of("findings.in_weeks", count: (days / 7).floor),
            "limit_mm" => pads.limit_mm,
            "limit_from" => @file.limit_from,
            "thinnest_pad_mm" => Core::Judgement::AxleMeasures.thinnest(pads)
          }
        end
      end
    end
  end
end
