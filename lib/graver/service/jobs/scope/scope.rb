# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The work on each axle of a job: proposed from forecast, verdict and marks, changed by the owner.
      class Scope
        # works: chosen ids; proposed: { work id => because }; offered: knowledge entries of works the axle can have;
        # rotors: { verdict:, proposed: work id or nil, fits: [work id] that answer the verdict, must: }; reason: of
        # the owner for other rotors, or nil
        AxleScope =
          Core::Value.define(:overview, :works, :proposed, :offered, :rotors, :reason) do
            # -> Household::AxleRecord
            def file = overview.file
            # -> name of the axle
            def name = file.axle.name
            # Whether the job works on it.
            def included? = works.any?
            # Whether what wears by braking is renewed: pads or shoes.
            def renewed? = offered.any? { |work| work.renews == "friction" && works.include?(work.id) }
            # -> [work id] that the job has for its rotors or drums
            def rotor_works = offered.select { |work| work.rotors && works.include?(work.id) }.map(&:id)
            # With new pads the rotors have to outlast them.
            def judged_rotors = works.empty? || renewed? ? overview.rotors_with_pads : overview.rotors
          end
        # text: why the job halts; must: no reason overrides it; works: [work id] the axle needs now; buy: labels of
        # parts
        Halt = Core::Value.define(:axle, :text, :must, :works, :buy)
        # axles: [AxleScope] of the whole vehicle; offers: [ScopeOffers::Offer]; warnings: [sentence]; approaches: { kind => option }
        # that have a place in the job; household: the same without what holds for this job alone
        Chosen =
          Core::Value.define(:axles, :offers, :warnings, :approaches, :household) do
            # -> [AxleScope] the job works on
            def included = axles.select(&:included?)
            # Kinds chosen for this job alone.
            def own_approaches = approaches.keys.reject { |kind| approaches[kind] == household[kind] }
          end

        # Verdicts that ask for rotors whatever the pads are like.
        ROTORS_ASK = %w[replace turn face_bad].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
          @rules = @knowledge.scope_rules
          @rotors = RotorChoice.new(@knowledge)
          @approaches = Household::Approaches.new(context)
        end

        # VehicleOverviews::Overview, the axle it begins with, the stored scope or nil; approaches: of this job only ->
        # Chosen
        def call(overview, axle_id, on_file, approaches = {})
          axles = axles(overview, axle_id, on_file)
          household = approaches(axles.select(&:included?))
          Chosen.new(
            axles:,
            offers: ScopeOffers.new(@context).call(overview, axles),
            warnings: axles.select(&:included?).flat_map { |axle| warnings(axle) },
            approaches: household.merge(approaches.slice(*household.keys)),
            household:
          )
        end

        # Checks the owner's choice: { "axle id" => [work] }, { "axle id" => reason }. Raises InvalidEntry by field.
        def check(overview, axles, reasons)
          faults =
            overview.axles.flat_map do |axle|
              faults(axle, axles.fetch(axle.file.axle.id.to_s, []), reasons[axle.file.axle.id.to_s])
            end
          faults << fault("axles", "empty", Message.of("jobs.choose_something")) if axles.values.all?(&:empty?)
          unknown = axles.keys - overview.axles.map { |axle| axle.file.axle.id.to_s }
          faults += unknown.map { |id| fault("axles.#{id[0, 20]}", "unknown_axle", Message.of("faults.unknown_axle")) }
          raise InvalidEntry, faults if faults.any?
        end

        # Reasons to halt: newer readings changed the work the rotors need, or a mark forbids driving and no work deals
        # with it. The job stops there until it is planned again. An inspection job ends with the vehicle not driven
        # (Condemned). on_file: the scope -> [Halt]
        def halts(overview, axle_id, on_file)
          included = axles(overview, axle_id, on_file).select(&:included?).reject { |axle| @rules.looking?(axle.works) }
          included.select { |axle| rotor_faults(axle, axle.works, axle.reason).any? }.map { |axle| halt(axle) } +
            included.filter_map { |axle| halt_by_marks(axle) }
        end

        # The verdict on each axle's rotors, to which a reason to do otherwise is tied. -> { "axle id" => verdict }
        def verdicts(overview, axle_id, on_file)
          axles(overview, axle_id, on_file).to_h { |axle| [axle.file.axle.id.to_s, axle.rotors[:verdict]] }
        end

        # Works that are still in the knowledge.
        def known(works) = works & @rules.ids

        # The axle as the planner wants it; approaches: of this job alone. Unknown is nil in the configuration.
        def setup(file, works, approaches = {})
          configuration =
            Core::Planning::Approaches.applied(
              @knowledge.approaches.fetch("job"),
              { **@approaches.chosen, **approaches },
              { **file.place, "work" => @rules.expanded(works) }
            )
          Core::Planning::Lifts::Setup.new(
            axle: file.axle.name,
            sides: file.axle.sides,
            configuration:,
            sensors: file.sensor_sides
          )
        end

        # Brake data fields (knowledge entries) a scope needs that are not on file: [[field, decides?], ...]
        def gaps(file, works)
          asked = @rules.asks(works) + (decides = @rules.decides(works))
          fields =
            @knowledge
              .brake_data
              .applying(file.place)
              .select { |field| asked.include?(field.key) && !file.data.key?(field.key) }
          fields.map { |field| [field, decides.include?(field.key)] }
        end

        # -> why these works can't be done on such a brake, or nil
        def impossible(file, works) = @rules.impossible(setup(file, works).configuration)

        private

        def axles(overview, axle_id, on_file)
          overview.axles.map { |axle| axle_scope(axle, on_file || { "axles" => { axle_id.to_s => nil } }) }
        end

        def halt(axle)
          said =
            Overview::AxleRotors
              .said(axle.judged_rotors, axle.file.wording)
              .reject { |side| side[:outcome] == "stay" }
              .map { |side| side[:sentence] }
          works = (axle.works - axle.rotor_works + [axle.rotors[:proposed]]).compact
          text =
            Message.of(
              axle.rotors[:must] ? "jobs.halt" : "jobs.halt_or_reason",
              axle: axle.name.capitalize,
              said: said.join(" ")
            )
          Halt.new(axle:, text:, must: axle.rotors[:must], works:, buy: [])
        end

        def halt_by_marks(axle)
          found = UnaddressedFindings.new(@rules, axle).stopping
          return if found.empty?

          said = found.keys.map { |seen| [Typography.sentence(seen.text), seen.caution].compact.join(" ") }
          text = Message.of("jobs.halt_by_marks", axle: axle.name.capitalize, said: said.join(" "))
          Halt.new(axle:, text:, must: true, works: axle.works | found.values, buy: [])
        end

        def warnings(axle)
          @rules
            .companions(axle.works)
            .map do |work, because|
              Message.of("jobs.companion", work: @knowledge.work(work).label, axle: axle.name, because:)
            end
        end
        def fault(field, code, message) = InvalidEntry::FieldError.new(field:, code:, message:)

        # { kind => option } of the approaches that have a place in this job.
        def approaches(axles)
          built = axles.map { |axle| { **axle.file.place, "work" => @rules.expanded(axle.works) } }
          all = @knowledge.approaches.fetch("job")
          @approaches
            .chosen
            .slice(*all.keys)
            .select do |kind, _|
              built.any? { |configuration| Core::Planning::Approaches.here?(all.fetch(kind), configuration) }
            end
        end

        def axle_scope(overview, on_file)
          id = overview.file.axle.id.to_s
          offered = @rules.offered({ **overview.file.place, "sensors" => overview.file.sensor_sides.any? })
          proposed = proposed(overview, offered)
          chosen = on_file["axles"].key?(id) ? on_file["axles"][id] || proposed.keys : []
          works = chosen & [*offered.map(&:id), *@rules.hidden]
          scope = AxleScope.new(overview:, works:, proposed:, offered:, rotors: {}, reason: nil)
          judged = @rotors.call(scope.judged_rotors, overview, @rules.of_rotors(offered))
          scope.with(rotors: judged, reason: @rotors.reason(on_file, id, judged[:verdict]))
        end

        # The work that readings and marks ask for, with companions; if they ask for no part, another inspection.
        def proposed(overview, offered)
          judged, possible = overview.rotors_with_pads, offered.map(&:id)
          marks = by_marks(overview).slice(*possible)
          rotors = @rotors.call(judged, overview, @rules.of_rotors(offered))
          work = rotors[:proposed] if pads_due?(overview) || asked_of_rotors?(rotors, judged)
          pads = @rules.of_friction(offered)
          unless work || marks.key?(pads) || pads_due?(overview)
            return marks.any? ? marks : inspection(overview).slice(*possible).first(1).to_h
          end

          found = { pads => marks[pads] || why_pads(overview, work) }
          found[work] = judged.label if work
          found["sensors"] = Message.of("jobs.sensor_ground")
          found.merge(by_approach, marks).slice(*possible)
        end

        # Rotors ask for a job of their own when they are out or their faces are, not by being judged for pads that are
        # not due.
        def asked_of_rotors?(rotors, judged) = rotors[:fits].any? && ROTORS_ASK.include?(judged.plan.outcome)

        def inspection(overview)
          rule = overview.judgement&.rules&.first
          said = rule && overview.file.wording.fill(rule.sentence, overview.measures)
          because = [said, Message.of("jobs.nothing_due")].compact.join(" ")
          @knowledge.scope.fetch("otherwise").to_h { |work| [work, because] }
        end

        # By the same rules as the axle's state, whatever else is graver.
        def pads_due?(overview)
          @knowledge.state_engine.holding(overview.measures).intersect?(@knowledge.state.fetch("pads_due"))
        end

        # What says so of the pads themselves; else the new rotors that want new ones. nil where only the rotors are
        # spoken of.
        def why_pads(overview, rotor_work)
          # that the brake is apart is no reason for new pads
          judgement = @knowledge.state_engine.call(overview.measures.except("apart", "apart_text"))
          rules = judgement.rules.reject { |each| each.topic == "rotors" }
          rule = rules.find { |each| each.topic == "pads" }
          if rule.nil? && rotor_work && @knowledge.work(rotor_work).rotors == "new"
            return overview.file.wording.own(Message.of("jobs.new_rotors_new_pads"))
          end

          rule ||= rules.first
          rule && overview.file.wording.fill(rule.sentence, overview.measures)
        end

        def by_approach
          @approaches.proposed.to_h do |kind, option, work|
            label = @knowledge.approaches.dig("job", kind, "options", option, "label")
            [work, Message.of("jobs.by_approach", label: Typography.inside(label))]
          end
        end

        def by_marks(overview)
          @knowledge.scope["proposed_by"]
            .filter_map do |work, items|
              mark = overview.seen.find { |seen| items.fetch(seen.item.id, []).include?(seen.mark.id) }
              [work, Message.of("jobs.seen_on", day: mark.date, text: mark.text)] if mark
            end
            .to_h
        end

        def faults(axle, works, reason)
          field = "axles.#{axle.file.axle.id}"
          scope = axle_scope(axle, { "axles" => { axle.file.axle.id.to_s => works } })
          unknown = works - scope.offered.map(&:id)
          if unknown.any?
            return(
              unknown.map do |work|
                fault(field, "unknown_work", Message.of("jobs.unknown_work", work: work[0, 30], axle: scope.name))
              end
            )
          end

          @rules
            .conflicts(works)
            .map { |text| fault(field, "conflict", Message.of("jobs.conflict", axle: scope.name.capitalize, text:)) } +
            rotor_faults(scope, works, reason)
        end

        # Other rotors than the verdict says need a reason; below the discard thickness there is none.
        def rotor_faults(scope, works, reason)
          return [] unless otherwise?(scope, works)

          verdict = scope.rotors[:label]
          if scope.rotors[:must]
            return [
              fault(
                "axles.#{scope.file.axle.id}",
                "rotor_must",
                Message.of("jobs.rotor_must", axle: scope.name.capitalize, verdict:)
              )
            ]
          end

          if reason.to_s.strip.empty?
            [
              fault(
                "reasons.#{scope.file.axle.id}",
                "missing",
                Message.of("jobs.rotor_reason", axle: scope.name.capitalize, verdict:)
              )
            ]
          else
            []
          end
        end

        # Are the rotors of a scope other than the verdict says? Where they must go, they go with whatever opens the
        # brake.
        def otherwise?(scope, works)
          scope = scope.with(works:)
          if scope.rotors[:must]
            return @rules.expanded(works).intersect?(%w[open shoes_off]) && !works.intersect?(scope.rotors[:fits])
          end
          return false unless scope.renewed?

          scope.rotors[:fits].any? ? !works.intersect?(scope.rotors[:fits]) : scope.rotor_works.any?
        end
      end
    end
  end
end
