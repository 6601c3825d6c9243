# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Readings and forecast of one axle, with how sure it is and why.
      class Wear
        # Beyond this, a time is given in years.
        MANY_DAYS = 550
        # A change less likely than this is not mentioned.
        CHANGED_FROM = 0.3
        # A change so near the last inspection is in no reading yet; it is mentioned from this chance on.
        JUST_NOW_DAYS = 7
        BEGINS_FROM = 0.2
        # How far the log must have moved the belief in sudden changes on an axle before it is mentioned.
        QUIET_FROM = 0.82
        LIVELY_BELOW = 0.5

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Overview::AxleOverview::Overview; counter, claim: Service::Overview::LastSaid::Said or nil
        def call(overview, counter:, claim:)
          file, answer = overview.file, overview.answer
          @said = [counter_sentence(overview, counter), claim_sentence(overview, claim)]
          {
            axle_name: Axles.new(@knowledge).name(file),
            axle: Axles.new(@knowledge).call(overview, nil),
            passed: passed(answer),
            limits: @knowledge.pad_limits.map { |limit| limit.for(file.brake_kind.limited_as).to_h.except(:kinds) },
            readings: readings(file, doubted(answer)),
            fits: fits(file),
            components: components(answer),
            as_of: {
              date: answer.as_of_date.iso8601,
              odometer_km: answer.as_of_km.round
            },
            km_per_day: answer.driving.km_per_day.round(1),
            why: why(overview)
          }
        end

        private

        # Since when a pad is under the limit, where that is likely.
        def passed(answer)
          km = answer.pads&.futures&.passed_since_km or return
          {
            distance_km: km.round,
            date: (answer.as_of_date - (km / answer.driving.km_per_day).floor).iso8601,
            chance: answer.pads.first.chance_now.round(3)
          }
        end

        def doubted(answer)
          [answer.pads, answer.rotors].compact.flat_map { |result| result.doubted.map { |doubt| doubt[:ref] } }
        end

        def readings(file, doubted)
          sets = Hash.new(1)
          file.entries.filter_map do |entry|
            sets[entry.part] += 1 if entry.renewal? &&
              file.entries.any? { |other| other.part == entry.part && other.date < entry.date }
            next unless entry.thickness?

            reading(entry, file, sets[entry.part], doubted)
          end
        end

        def reading(entry, file, set, doubted)
          thickness =
            (
              if entry.event == "reading"
                @knowledge.normalise.call(entry.reading, file.part(entry.part))
              else
                @knowledge.normalise.event(entry.event)
              end
            )
          low, high = reach(thickness)
          {
            position: [entry.side, entry.pad].compact.join("_"),
            part: entry.part,
            set:,
            date: entry.date.iso8601,
            odometer_km: entry.odometer_km.round(1),
            mm: thickness.value_mm.round(3),
            low_mm: [low, 0].max.round(3),
            high_mm: high.round(3),
            method: entry.reading&.method || entry.event,
            entered: entered(entry),
            doubted: doubted.include?(entry.ref),
            kept: entry.trust < 1
          }
        end

        # An interval's bounds, or twice the standard uncertainty to either side.
        def reach(thickness)
          return thickness.lower_mm, thickness.upper_mm if thickness.interval?

          error = 2 * thickness.standard_uncertainty_mm
          [thickness.value_mm - error, thickness.value_mm + error]
        end

        def entered(entry)
          return entry.event unless (reading = entry.reading)

          upper = reading.upper && " to #{number(reading.upper)}"
          figure = Say::Formats.with_unit("#{number(reading.value)}#{upper}", reading.unit)
          reading.overall ? Say::Texts.t("forecast.with_plate", figure:) : figure
        end

        def number(entered) = format("%g", entered.value.to_f)

        def fits(file)
          file
            .entries
            .select(&:renewal?)
            .map { |entry| { part: entry.part, date: entry.date.iso8601, odometer_km: entry.odometer_km.round(1) } }
            .uniq
        end

        def components(answer)
          { "pad" => answer.pads, "rotor" => answer.rotors }.compact.flat_map do |part, result|
            result.components.map do |position, life|
              {
                position:,
                part:,
                now_mm: result.now[position][:mean_mm].round(2),
                sd_mm: result.now[position][:sd_mm].round(3),
                rate: %i[p10 p50 p90].zip(result.rates[position].map { |rate| rate.round(4) }).to_h,
                life: RemainingLife.call(answer, life)
              }
            end
          end
        end

        # How the forecast was made, in sentences.
        def why(overview)
          answer = overview.answer
          missing = answer.why.values.map { |reason| "#{reason[0].upcase}#{reason[1..]}." }
          [
            *missing,
            readings_sentence(overview),
            prior_sentence(answer, overview.file),
            driving_sentence(answer, overview.file.vehicle.distance_unit),
            *changed_sentences(overview),
            quiet_sentence(answer),
            *@said,
            *doubt_sentences(overview)
          ].compact.map { |sentence| overview.file.wording.own(sentence) }
        end

        def readings_sentence(overview)
          return unless overview.answer.pads

          pads = overview.file.entries.select { |entry| entry.part == "pad" && entry.thickness? }
          methods =
            pads
              .map { |entry| entry.reading&.method || entry.event }
              .tally
              .map { |method, count| "#{count} by #{method}" }
          Say::Texts.t(
            "forecast.pads",
            readings: pads.empty? ? Say::Texts.t("forecast.no_readings") : methods.join(", "),
            count: overview.answer.pads.observed
          )
        end

        def prior_sentence(answer, file)
          prior, unit = @knowledge.prior("pad", file.wears_as), file.vehicle.distance_unit
          ends = [-1.2816, 1.2816].map { |z| prior.rate_mm_per_1000km * Math.exp(z * prior.rate_log_sd) }
          said = [
            Say::Texts.t("forecast.prior", rates: Say::Lengths.rate(*ends, unit)),
            *drive(file),
            *kin(answer, unit)
          ].join(" ")
          return said unless answer.pads&.readings&.positive?

          "#{said} #{Say::Texts.t("forecast.replaced", share: Say::Formats.percent(replaced(answer.pads, prior)))}"
        end

        # Where the motor brakes, rust and stuck pins count for more than wear.
        def drive(file)
          said = { "electric" => "forecast.electric", "hybrid" => "forecast.hybrid" }[file.wears_as]
          [(Say::Texts.t(said) if said)].compact
        end

        def kin(answer, unit)
          return [] unless answer.pads

          answer.kin.map do |pace|
            Say::Texts.t("forecast.kin", axle: pace.axle, rate: Say::Lengths.rate(1000 * Math.exp(pace.log_rate), unit))
          end
        end

        # The share of the initial uncertainty of the rate that readings have removed: of the variance of its logarithm,
        # over all pads.
        def replaced(pads, prior)
          spreads = pads.rates.values.map { |low, _, high| Math.log(high / low) / (2 * 1.2816) }
          1 - (spreads.sum { |sd| [sd / prior.rate_log_sd, 1.0].min**2 } / spreads.length)
        end

        def driving_sentence(answer, unit)
          days = answer.driving.days_observed
          years =
            (
              if days < MANY_DAYS
                Say::Texts.t("forecast.days", count: days)
              else
                Say::Texts.t("forecast.years", count: (days / 365.25).round)
              end
            )
          Say::Texts.t(
            "forecast.driving",
            distance: Say::Formats.in_unit(answer.driving.km_per_day, unit).round,
            unit:,
            years:
          )
        end

        # The last claims about the current set, compared with this forecast.
        def claim_sentence(overview, claim)
          claim or return
          mm = overview.answer.pads.now.values.map { |now| now[:mean_mm] }.min
          Say::Texts.t("forecast.claim", day: claim.date, claimed: claim.thickness_mm, mm: mm.round(1))
        end

        def counter_sentence(overview, counter)
          counter or return
          life, unit = overview.answer.pads.first, overview.file.vehicle.distance_unit
          low, middle, high = [0.1, 0.5, 0.9].map { |chance| life.quantile(chance) }
          tokens = { day: counter.date, counter: counter.said_km, left: counter.left_km, low:, middle:, high: }
          Say::Texts.t("forecast.counter", unit:, **tokens)
        end

        # Positions whose rate may well have changed, and since when.
        def changed_sentences(overview)
          answer = overview.answer
          { "pad" => answer.pads, "rotor" => answer.rotors }.compact.flat_map do |part, result|
            result.changed.filter_map do |who, supposed|
              begins = begins?(overview, who, supposed)
              changed(answer, part, who, supposed, begins) if supposed[:chance] >= (begins ? BEGINS_FROM : CHANGED_FROM)
            end
          end
        end

        def changed(answer, part, who, supposed, begins)
          day = answer.day_at(supposed[:since_km])
          chance = Say::Formats.percent(supposed[:chance])
          return Say::Texts.t("forecast.axle_changed", chance:, part:, day:) if who == :axle

          position = "#{who.tr("_", " ")} #{part}"
          return Say::Texts.t("forecast.part_changes", chance:, position:) if begins

          Say::Texts.t("forecast.part_changed", chance:, position:, day:)
        end

        # Whether it is a pin or a piston that was marked, and does not show in the wear yet.
        def begins?(overview, who, supposed)
          answer, since = overview.answer, supposed[:since_km]
          unless since && answer.last_look && stuck_sides(overview.file).include?(who.to_s.split("_").first)
            return false
          end

          answer.day_at(since) >= answer.last_look - JUST_NOW_DAYS
        end

        # Sides whose pins or piston did not move freely when they were last tried.
        def stuck_sides(file)
          file.beside.fetch(:moved).group_by(&:side).reject { |_, tried| tried.last.how == "free" }.keys
        end

        def quiet_sentence(answer)
          quiet = answer.pads&.quiet or return
          return Say::Texts.t("forecast.quiet", chance: Say::Formats.percent(quiet)) if quiet >= QUIET_FROM

          Say::Texts.t("forecast.lively", chance: Say::Formats.percent(1 - quiet)) if quiet < LIVELY_BELOW
        end

        def doubt_sentences(overview)
          refs = doubted(overview.answer)
          overview
            .file
            .entries
            .select { |entry| refs.include?(entry.ref) }
            .map do |entry|
              position = [entry.side, entry.pad, Say::Texts.part(entry.part)].compact.join(" ")
              Say::Texts.t("forecast.outlier", position:, day: entry.date, entered: entered(entry))
            end
        end
      end
    end
  end
end
