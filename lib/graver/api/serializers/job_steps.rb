# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The steps of a job, with the owner's changes of order and notes.
      class JobSteps
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Jobs::JobPlan::Plan, Service::Jobs::StepDetails::All -> { steps:, marks:, dropped:, set_aside: };
        # marks: once per inspected item
        def call(plan, details)
          ordered = plan.ordered
          @torque = plan.torque
          @details = details.steps
          @cautioned = Set.new
          @wordings = Hash.new { |all, axle| all[axle] = plan.wording(@knowledge, axle) }
          @marks = {}
          steps = ordered.placed&.map { |placed| step(placed, plan) }
          {
            steps:,
            marks: @marks.map { |item, marks| { item:, marks: Marks.call(marks) } },
            dropped:
              ordered.dropped.map do |placed|
                { key: placed.key, place: placed.place, text: said(placed), event: ordered.events.fetch(placed.key) }
              end,
            set_aside: details.set_aside.map { |plan_edit, event, why| { event:, text: "#{lost(plan_edit)}: #{why}" } }
          }
        end

        private

        def step(placed, plan)
          step, detail = placed.step, @details.fetch(placed.key)
          {
            key: placed.key,
            stage: @knowledge.procedure.stage(step.stage).label,
            place: placed.place,
            joins: detail.joins,
            text: said(placed),
            why: step.why && @wordings[placed.axle].trade(step.why),
            mandatory: step.mandatory,
            safety_critical: step.safety_critical,
            waits_for: detail.waits,
            said: detail.said,
            deviation: plan.job&.deviations&.dig(placed.key, "because"),
            cautions: cautions(placed),
            tighten: torque_at(placed).map { |set| TorqueLines.new(@knowledge).brief(set, placed) },
            undo: undone(placed),
            tools: tools(step),
            reads: reads(detail),
            values: detail.values.map(&:to_h),
            acts: step.acts,
            after: step.stage == Service::Jobs::Afterwards::STAGE,
            asks: step.asks && asks(placed, plan),
            counts: step.counts&.to_h,
            timer: step.timer&.to_h,
            event: plan.ordered.events[placed.key] || plan.ordered.events[step.id],
            own: step.own,
            beds_in: step.beds_in,
            photos: detail.photos.to_h.transform_values { |photos| Photos.call(photos) },
            **notes(placed, plan)
          }
        end

        def asks(placed, plan)
          question, wording = placed.step.asks, @wordings[placed.axle]
          {
            text: wording.own(question.text),
            answers:
              question.answers.map { |answer| { **answer.to_h.slice(:id, :good), label: wording.own(answer.label) } },
            answer: plan.job&.answers&.fetch(placed.key, nil)
          }
        end

        def reads(detail)
          detail.reads.map do |ask|
            @marks[ask.key] = ask.choices if ask.choices.any?
            ask.to_h.except(:choices)
          end
        end

        def notes(placed, plan)
          own = (plan.job&.notes || []).select { |note| note["key"] == placed.key }
          {
            notes: own.map { |note| noted(note) },
            last_time: plan.notes.fetch(placed.step.id, []).first(3).map { |note| noted(note) }
          }
        end

        def said(placed) = @wordings[placed.axle].trade(placed.step.text)
        def noted(note) = { text: note["text"], day: note["day"], done_by: note["by"] }

        def torque_at(placed) = sets_at(placed, placed.step.tighten)

        def sets_at(placed, fasteners)
          @torque.select do |set|
            fasteners.include?(set.line.fastener) &&
              (placed.axle ? set.line.axle == placed.axle : [nil, "both", set.line.axle].include?(placed.lift))
          end
        end

        # Size and drive of each fastener undone here, with its name.
        def undone(placed)
          fasteners = placed.step.fasteners - placed.step.tighten
          sets_at(placed, fasteners)
            .select { |set| set.line.drive }
            .map do |set|
              {
                fastener: set.line.fastener,
                label: set.line.label,
                drive: @knowledge.brake_data.label("wheel_nut.drive", set.line.drive)
              }
            end
        end

        def tools(step) = step.tools.map { |id| @knowledge.tool(id) }.reject(&:by_torque).map(&:label)

        # Each at its first step of a corner. The danger of an unknown torque stands at every such bolt.
        def cautions(placed)
          unknown =
            torque_at(placed).any? { |set| set.line.torque.nil? && !@knowledge.fastener(set.line.fastener).snug }
          first = placed.step.cautions.select { |id| @cautioned.add?([placed.axle, placed.side, id]) }
          (first + (unknown ? ["no-value"] : [])).map do |id|
            caution = @knowledge.cautions.fetch(id)
            { severity: caution.severity, text: @wordings[placed.axle].own(caution.text) }
          end
        end

        def lost(plan_edit)
          case plan_edit.action
          when "drop"
            Say::Texts.t("jobs.dropped_is_back")
          when "move"
            Say::Texts.t("jobs.moved_back")
          else
            Say::Texts.t("jobs.place_lost", text: plan_edit.text)
          end
        end
      end
    end
  end
end
