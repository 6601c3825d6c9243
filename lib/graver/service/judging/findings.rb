# frozen_string_literal: true

module Graver
  module Service
    module Judging
      # The findings of a vehicle, what has no verdict, and what is best measured next.
      class Findings
        # Fewer places round a rotor miss its variation.
        PLACES_FOR_VARIATION = 4
        # fluid: FluidSummary::Summary or nil; changes: [Change] since the inspection before; silent: sentences about
        # what has no verdict; next: [[axle name, Core::Wear::MeasurementValue::Worth]]; answers: { [axle id, side,
        # rule] => Storage::FollowUp }, the causes the owner found on the current pads
        All = Core::Value.define(:overview, :fluid, :changes, :silent, :next, :answers)
        Change = Core::Value.define(:axle, :position, :part, :before_mm, :before_on, :now_mm, :now_on, :km)

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # Raises NotFound.
        def call(vehicle_id)
          overview = Overview::VehicleOverviews.new(@context).find(vehicle_id)
          changes = overview.axles.flat_map { |axle| changes(axle.file) }
          All.new(
            overview:,
            changes:,
            fluid: FluidSummary.new(@knowledge).call(overview),
            silent: silent(overview),
            next: following(overview),
            answers: overview.axles.flat_map { |axle| answers(overview, axle.file) }.to_h
          )
        end

        # given: { axle:, part:, mm: text } -> [Core::Judgement::Claim or nil, AxleOverview::Overview]. Raises
        # InvalidEntry, NotFound.
        def claim(vehicle_id, given)
          overview =
            Overview::VehicleOverviews
              .new(@context)
              .find(vehicle_id)
              .axles
              .find { |axle| axle.file.axle.id == given[:axle] }
          raise InvalidEntry.of("axle", "unknown_axle", Message.of("faults.unknown_axle")) unless overview

          mm = claimed_mm(given)
          result = given[:part] == "pad" ? overview.answer.pads : overview.answer.rotors
          [
            (
              if result&.readings&.positive?
                Core::Judgement::Claim.check(mm, result.now, **thresholds.slice(:claim_sd_mm, :doubtful, :contradicts))
              end
            ),
            overview
          ]
        end

        # The claimed thickness in mm. Raises InvalidEntry.
        def claimed_mm(given)
          figures, unit = Core::Quantity::EnteredLength.split(given[:value], given[:unit] || "mm")
          unless Core::Quantity::LENGTH.include?(unit)
            raise InvalidEntry.of("value", "unknown_unit", Message.of("faults.claim_unit"))
          end

          mm = Core::Quantity::LENGTH.to_base(Core::Quantity::EnteredNumber.parse(figures).value, unit)
          least, most = thresholds.fetch(:"#{given[:part]}_mm")
          unless mm.between?(least, most)
            raise(
              InvalidEntry.of("value", "out_of_range", Message.of("faults.claim_between", least:, most:, value: mm))
            )
          end
          mm
        rescue InvalidEntry => e
          raise e.faults.first.field.empty? ? e.under("value") : e
        end

        private

        def answers(overview, file)
          overview
            .follow_ups
            .select { |each| each.about && each.axle_id == file.axle.id && since_fit?(file, each) }
            .map { |each| [[each.axle_id, each.side, each.about], each] }
        end

        def since_fit?(file, each)
          fitted = file.pads.filter_map { |pad| file.since_fit("pad", each.side, pad).first&.date }.max
          fitted.nil? || each.day >= fitted
        end

        def thresholds = @knowledge.findings.fetch("claim_thresholds").transform_keys(&:to_sym)

        # The two newest readings of each position of the set that is on.
        def changes(file)
          places = file.axle.sides.flat_map { |side| [*["pad"].product([side], file.pads), ["rotor", side, nil]] }
          places.filter_map do |part, side, pad|
            before, now = file.since_fit(part, side, pad).select { |entry| entry.reading && entry.thickness? }.last(2)
            next unless now

            mm = [before, now].map { |entry| @knowledge.normalise.call(entry.reading, file.part(part)).value_mm }
            Change.new(
              axle: file.axle.name,
              position: [side, pad].compact.join(" "),
              part:,
              before_mm: mm[0],
              before_on: before.date,
              now_mm: mm[1],
              now_on: now.date,
              km: now.odometer_km - before.odometer_km
            )
          end
        end

        # Without a known limit or a reading there is no verdict: says so.
        def silent(overview)
          pulsates = overview.seen.any? { |mark| mark.mark.id == "pulsation" }
          overview.axles.flat_map do |axle|
            sentences = [silent_pads(axle), *(axle.file.drum? ? silent_drums(axle) : silent_discs(axle, pulsates))]
            sentences.compact.map do |sentence|
              Message.of("findings.silent", axle: axle.file.axle.name.capitalize, sentence: Typography.inside(sentence))
            end
          end
        end

        def silent_pads(axle)
          pads = axle.answer.pads
          own = axle.file.wording.method(:own)
          return own.call(Message.of("findings.no_pad_read")) unless pads&.readings&.positive?

          return unless pads.unread.any?
          own.call(Message.of("findings.pads_unread", pads: pads.unread.map { |id| id.tr("_", " ") }.join(", ")))
        end

        def silent_discs(axle, pulsates)
          [silent_rotors(axle), *unclear_variation(axle), *(unmeasured_pulsation(axle) if pulsates)]
        end

        def silent_drums(axle)
          return [Message.of("findings.no_maximum")] unless axle.file.drum_maximum_mm

          unread = axle.rotors.verdicts.values.any? { |verdict| verdict.outcome == "unmeasured" }
          unread ? [Message.of("findings.no_drum_read")] : []
        end

        def silent_rotors(axle)
          return Message.of("findings.no_discard") unless axle.file.discard_mm

          Message.of("findings.no_rotor_read") unless axle.answer.rotors&.readings&.positive?
        end

        # More than the limit as read, but no more than the tool makes by itself.
        def unclear_variation(axle)
          file = axle.file
          usual = @knowledge.measurement.dig("usual_limits", "thickness_variation_mm", "value")
          limit = file.length_mm("rotor.variation_limit") || usual
          file.axle.sides.filter_map do |side|
            survey = survey(file, side)
            next if survey&.spread_mm.nil? || survey.told? || survey.spread_mm < limit

            tokens = { side:, spread: survey.spread_mm, chance: survey.chance_mm }
            Message.of("findings.variation_unclear", **tokens)
          end
        end

        def survey(file, side)
          rows, = file.newest_rows("rotor", side)
          return unless rows

          places = rows.map { |row| @knowledge.normalise.call(file.reading_of(row), file.part("rotor")) }
          Core::Measurement::Survey.of(places)
        end

        # Felt in the pedal, and the rotors not read at enough places to say which.
        def unmeasured_pulsation(axle)
          file = axle.file
          if file.axle.sides.all? { |side| file.newest_rows("rotor", side)&.first.to_a.length >= PLACES_FOR_VARIATION }
            return
          end

          Message.of("findings.pulsation_unmeasured", places: PLACES_FOR_VARIATION)
        end

        # Single positions, by caliper with the wheel off.
        def following(overview)
          ranked =
            overview
              .axles
              .select { |axle| axle.answer.pads }
              .flat_map do |axle|
                Core::Wear::MeasurementValue
                  .rank(axle.answer.pads, @knowledge.pad_methods.slice("caliper"))
                  .select { |worth| worth.positions.one? }
                  .map { |worth| [axle.file.axle.name, worth] }
              end
          ranked.select { |_, worth| worth.narrows_km > 100 }.max_by(4) { |_, worth| worth.narrows_km }
        end
      end
    end
  end
end
