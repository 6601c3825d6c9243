# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A job: its work, its steps, its needs and what is still missing.
      class JobPlans
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Jobs::JobPlan::Plan, Service::Jobs::StepDetails::All
        def call(plan, details)
          steps, shopping = JobSteps.new(@knowledge).call(plan, details), Shopping.new.call(plan)
          states = {
            ready: plan.ready? || false,
            readiness: plan.readiness.map { |item| item(item) },
            scope: JobScopes.new(@knowledge).call(plan.scope)
          }
          ahead = { halts: plan.halts.map { |halt| halt(halt) }, fits: fits(plan), **standing(plan) }
          card = {
            torque: plan.torque.map { |set| torque(set, plan.job) },
            fluid: plan.fluid && fluid(plan.fluid),
            money: money(plan)
          }
          {
            **head(plan),
            **states,
            **steps,
            **ahead,
            **card,
            **shopping,
            axles: plan.scope.included.map { |axle| axle(axle) }
          }
        end

        private

        def head(plan)
          job = plan.job
          {
            id: job&.id,
            revision: job && revision(plan),
            state: job ? job.state : "proposed",
            planned_for: job&.planned_for&.iso8601,
            ready_because: job&.ready_because,
            closed: closed(job),
            ticked: job&.ticked || [],
            ticked_by: job&.ticked_by || {},
            people: job&.people || [],
            torques: Torques.call(job),
            quote: job&.quote&.fetch("total", nil),
            quote_lines: job&.quote&.fetch("lines", []) || [],
            vehicle: vehicle(plan.overview.vehicle),
            odometer: odometer(plan),
            title: Service::Jobs::JobTitle.call(@knowledge, plan.scope.included.to_h { |axle| [axle.name, axle.works] })
          }
        end

        def vehicle(vehicle)
          {
            **vehicle.to_h.slice(:id, :name, :kind, :distance_unit),
            noted: Service::Household::ChangeVehicle.line(vehicle)
          }
        end

        # The odometer expected today, in the owner's unit, and whether the job has one already.
        def odometer(plan)
          km = plan.overview.axles.first&.answer&.as_of_km
          unit = plan.overview.vehicle.distance_unit
          {
            value: km && Core::Quantity::DISTANCE.from_base(km, unit).round.to_s,
            unit:,
            known: !plan.job.nil? && plan.overview.inspections.any? { |each| each.job_id == plan.job.id }
          }
        end

        # The state of the brake: what is apart, and why the vehicle must not be driven.
        def standing(plan)
          job = plan.job
          {
            apart: job ? Service::Overview::ApartBrakes.said(@knowledge, job.apart) : [],
            stops: plan.stops,
            symptoms:
              plan.symptoms.map { |seen| { id: seen.mark.id, label: seen.mark.label, severity: seen.severity } },
            planned: job&.basis&.fetch("event"),
            undriven: !job&.basis.nil? && !job.basis.fetch("road")
          }
        end

        def torque(set, job)
          mine =
            (job&.torques || []).select do |entry|
              entry.values_at("axle", "fastener") == [set.line.axle, set.line.fastener]
            end
          { **TorqueLines.new(@knowledge).call(set), reached: Torques.reached(mine) }
        end

        def revision(plan)
          Service::Base::Revision.of(
            Service::Jobs::VersionedJob.fields(@knowledge, plan.job, plan.overview.vehicle.axles)
          )
        end

        def closed(job)
          job&.closed &&
            {
              "parts" => [],
              "sets" => [],
              "inspection" => nil,
              "do_not_drive" => [],
              **job.closed.slice("hours", "spent", "day", "parts", "sets", "inspection", "do_not_drive")
            }
        end

        def halt(halt)
          {
            axle_id: halt.axle.file.axle.id,
            axle: halt.axle.name,
            **halt.to_h.slice(:text, :must, :works, :buy),
            action: action(halt)
          }
        end

        def action(halt)
          done = halt.works.filter_map { |work| @knowledge.work(work).rotors }.first
          text = { "new" => "jobs.plan_new", "turn" => "jobs.plan_machined" }.fetch(done, "jobs.plan_anew")
          halt.axle.file.wording.own(Say::Texts.t(text))
        end

        # What goes into the log when the job is finished, as far as it is known.
        def fits(plan)
          Service::Jobs::FittedParts
            .of(plan)
            .map do |fit|
              {
                axle_id: fit.file.axle.id,
                axle: fit.file.axle.name,
                **fit.to_h.slice(:part, :label, :value, :unit, :method)
              }
            end
        end

        # A finished job keeps its estimate as planned, and what it took as entered.
        def money(plan)
          serializer = JobMoney.new
          now = serializer.call(plan.money)
          plan.job&.closed ? serializer.finished(now, plan.job.closed) : now
        end

        def item(item)
          {
            **item.to_h.slice(:id, :kind, :about, :text, :todo, :resolved, :blocks, :tickable, :axle_id),
            label: @knowledge.readiness.dig(item.kind, "label")
          }
        end

        def fluid(card)
          plan = card.plan
          {
            pushed_ml: plan.pushed&.round,
            headroom_ml: plan.headroom&.round,
            draw_off_ml: plan.draw_off,
            needed_ml: plan.needed.round,
            bottles_ml: plan.bottles,
            **card.to_h.slice(:grade, :may, :never, :bleeds, :order_from),
            order: card.order.map { |axle, side| side == "both" ? axle : "#{axle} #{side}" },
            methods: card.methods.map { |method| method.slice("label", "owned") }
          }
        end

        def axle(scope)
          overview = scope.overview
          judged = scope.judged_rotors
          sides = Service::Overview::AxleRotors.said(judged, overview.file.wording)
          {
            axle: Axles.new(@knowledge).call(overview, nil),
            rotor: {
              outcome: judged.plan.outcome,
              label: judged.label,
              sides:
            }
          }
        end
      end
    end
  end
end
