# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A vehicle's findings: worst first, each with its reasons.
      class Findings
        def initialize(knowledge)
          @knowledge = knowledge
          @axles = Axles.new(knowledge)
          @answers = {}
        end

        # all: Service::Findings::All; chosen: the approaches chosen
        def call(all, chosen, today)
          overview = all.overview
          @answers = all.answers
          @today = today
          {
            vehicle: overview.vehicle.to_h.slice(:id, :name, :kind, :distance_unit),
            today: today.iso8601,
            axles: overview.axles.map { |axle| axle(axle) },
            findings: findings(overview),
            fluid: all.fluid && fluid(all.fluid),
            silent: all.silent,
            changes: all.changes.map { |change| change(change) },
            approaches: Approaches.call(@knowledge, chosen.slice(*Service::Household::Approaches::JUDGING)),
            revision: Service::Base::Revision.of(chosen),
            next_readings: all.next.map { |name, worth| worth(name, worth) }
          }
        end

        def finding(found)
          fields =
            found.to_h.slice(
              :rule,
              :severity,
              :topic,
              :axle_id,
              :side,
              :pad,
              :title,
              :sentence,
              :reading,
              :limit,
              :change,
              :advice,
              :source
            )
          fields.merge(
            confidence: found.confidence&.round(4),
            causes: found.causes.map { |cause| cause(cause) },
            answered: answered(found)
          )
        end

        def answered(found)
          each = @answers[[found.axle_id, found.side, found.rule]]
          each && FollowUps.one(each, @today)
        end

        # A shop's figure: claim is nil if there is no reading to compare it with.
        def claim(claim, overview)
          verdict = claim ? claim.verdict : "unknown"
          measures =
            if claim
              {
                "position" => claim.position.tr("_", " "),
                "believed_mm" => claim.mean_mm,
                "error_mm" => 2 * claim.sd_mm,
                "claimed_mm" => claim.claimed_mm,
                "chance" => claim.chance
              }
            else
              {}
            end
          {
            verdict:,
            sentence:
              Service::Base::Wording.new(overview.file.vehicle.distance_unit).fill(
                @knowledge.findings.dig("claims", verdict),
                { "axle" => overview.file.axle.name, **measures }
              )
          }
        end

        private

        # Findings from forecasts and from the owner's eye, worst first.
        def findings(overview)
          found = (overview.findings + overview.axles.flat_map(&:findings)).map { |each| finding(each) }
          all = found + overview.axles.flat_map { |axle| marks(axle.seen, axle) } + marks(overview.seen, nil)
          all.sort_by.with_index do |finding, at|
            [Vehicles::SEVERITIES.index(finding[:severity]), harm(finding), -(finding[:confidence] || 0), at]
          end
        end

        # Of two findings of equal severity, the more dangerous comes first, on any axle.
        def harm(finding)
          order = @knowledge.findings.fetch("harm_order")
          order.index(finding[:rule][/\Aseen-(.+)-/, 1] || finding[:topic]) || order.length
        end

        def axle(overview)
          axle = @axles.call(overview, nil)
          { **axle.slice(:id, :name, :state, :corners, :limit_mm), rotors: rotors(overview) }
        end

        def rotors(overview)
          plan = overview.rotors.plan
          {
            outcome: plan.outcome,
            label: overview.rotors.label,
            because: plan.because,
            cut_left_mm: plan.cut_left_mm&.round(2),
            with_pads: overview.rotors.equal?(overview.rotors_with_pads),
            sides: Service::Overview::AxleRotors.said(overview.rotors, overview.file.wording)
          }
        end

        # Marks are findings that somebody made by eye.
        def marks(seen, axle)
          seen
            .select(&:severity)
            .map do |mark|
              mark(mark, [axle && AxleName.word(axle.file.axle.name), mark.side, mark.face].compact.join(" "))
            end
        end

        def mark(mark, place)
          {
            rule: "seen-#{mark.item.id}-#{mark.mark.id}",
            severity: mark.severity,
            topic: "seen",
            axle_id: mark.axle_id,
            side: mark.side,
            pad: mark.face,
            title: "#{mark.item.label}: #{mark.mark.label}",
            sentence:
              Say::Texts.t(
                "marks.sentence",
                place: place.empty? ? Say::Texts.t("marks.vehicle") : place.capitalize,
                day: mark.date
              ),
            reading: Say::Texts.t("marks.reading", day: mark.date),
            limit: Say::Texts.t("marks.limit"),
            change: Say::Texts.t("marks.change"),
            advice: mark.caution || Say::Texts.t("marks.look_again"),
            confidence: nil,
            causes: [],
            answered: nil,
            source: @knowledge.source_title(mark.mark.source || @knowledge.conditions_source)
          }
        end

        def cause(cause)
          seen = cause.seen.map { |mark| mark == "recurs" ? Say::Texts.t("marks.recurs") : described(mark) }
          {
            id: cause.id,
            label: cause.label,
            share: cause.share.round(3),
            seen:,
            check: cause.check,
            remedy: cause.remedy
          }
        end

        def described(mark)
          item, id = mark.split(".").then { |item, id| [@knowledge.condition_item(item), id] }
          "#{item.label.downcase} #{item.mark(id).label}"
        end

        def fluid(card)
          fields = card.to_h.slice(:grade, :dry_celsius, :wet_celsius, :may, :never, :sentence)
          axles = card.axles.map { |name, pushed_ml, draw_off_ml| { name:, pushed_ml: pushed_ml&.round, draw_off_ml: } }
          fields.merge(headroom_ml: card.headroom_ml&.round, axles:)
        end

        def change(change)
          fields = change.to_h.slice(:axle, :position, :part)
          fields.merge(
            before_mm: change.before_mm.round(2),
            before_on: change.before_on.iso8601,
            now_mm: change.now_mm.round(2),
            now_on: change.now_on.iso8601,
            km: change.km.round
          )
        end

        def worth(name, worth)
          {
            axle: name,
            position: worth.positions.first.tr("_", " "),
            narrows_km: worth.narrows_km.round,
            narrows: worth.narrows.round(3)
          }
        end
      end
    end
  end
end
