# frozen_string_literal: true

require_relative "axles"
require_relative "job_steps"
require_relative "shopping"
require_relative "torque_lines"
require_relative "../../service/wording"

module Graver
  module API
    module Serializers
      # A job: what is done, in which order, what it needs and what it still waits for.
      class JobPlans
        ROTORS = { "rotors_new" => "new", "rotors_turn" => "turn" }.freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::JobPlan::Plan
        def call(plan)
          { **head(plan), scope: scope(plan.scope), ready: plan.ready? || false, readiness: plan.readiness.map { |item| item(item) }, **JobSteps.new(@knowledge).call(plan),
            torque: plan.torque.map { |set| TorqueLines.new(@knowledge).call(set) }, **Shopping.new.call(plan), fluid: fluid(plan.fluid), money: money(plan.money), axles: plan.scope.included.map { |axle| axle(axle) } }
        end

        private

        def head(plan)
          job, vehicle = plan.job, plan.overview.vehicle
          { id: job&.id, state: job ? job.state : "proposed", planned_for: job&.planned_for&.iso8601, ready_because: job&.ready_because, closed: job&.closed&.slice("hours", "spent", "day"), ticked: job&.ticked || [],
            quote: job&.quote&.fetch("total", nil), vehicle: { id: vehicle.id, name: vehicle.name, kind: vehicle.kind, distance_unit: vehicle.distance_unit }, title: title(plan.scope) }
        end

        # "Front: new pads, new rotors. Rear: new fluid."
        def title(scope)
          scope.included.map { |axle| "#{axle.name.capitalize}: #{axle.works.map { |work| @knowledge.work(work)["label"].then { |label| label[0].downcase + label[1..] } }.join(", ")}" }.join(". ")
        end

        def scope(scope)
          { axles: scope.axles.map { |axle| axle_scope(axle) }, offers: scope.offers.map { |offer| { adds: offer.adds.map { |id, works| { axle_id: id, works: } }, text: offer.text } }, warnings: scope.warnings }
        end

        def axle_scope(axle)
          works = axle.offered.reject { |work| ROTORS.key?(work["id"]) }
          { id: axle.file.axle.id, name: axle.name, included: axle.included?, works: works.map { |work| { id: work["id"], label: work["label"], chosen: axle.works.include?(work["id"]), because: axle.proposed[work["id"]] } }, rotors: rotors(axle) }
        end

        def rotors(axle)
          { chosen: ROTORS[axle.works.find { |work| ROTORS.key?(work) }] || "stay", proposed: ROTORS.fetch(axle.rotors[:proposed], "stay"), must: axle.rotors[:must], verdict: verdict(axle.rotors[:verdict])["label"], reason: axle.reason }
        end

        def verdict(outcome) = @knowledge.rotor_rules.fetch("verdicts").fetch(outcome)

        def item(item)
          { id: item.id, kind: item.kind, label: @knowledge.readiness.dig(item.kind, "label"), text: item.text, todo: item.todo, settled: item.settled, blocks: item.blocks, tickable: item.tickable, axle_id: item.axle_id }
        end

        def fluid(card)
          plan = card.plan
          { pushed_ml: plan.pushed&.round, headroom_ml: plan.headroom&.round, draw_off_ml: plan.draw_off && ((plan.draw_off / 5.0).ceil * 5), needed_ml: plan.needed.round, bottles_ml: plan.bottles, grade: card.grade, may: card.may, never: card.never,
            bleeds: card.bleeds, order: card.order.map { |axle, side| side == "both" ? axle : "#{axle} #{side}" }, order_from: card.order_from, methods: card.methods.map { |method| { label: method["label"], owned: method["owned"] } } }
        end

        def money(card)
          rounded = ->(value) { value&.round(2) }
          { currency: card.currency, hours: { low: card.hours.low.round(1), high: card.hours.high.round(1), jobs: card.hours.jobs }, parts: card.parts.round(2), consumables: card.consumables.round(2), tools: card.tools.round(2), total: card.total.round(2), unpriced: card.unpriced,
            shop: rounded[card.shop], shop_from: card.shop_from, saving: rounded[card.saving], spent: card.spent.round(2), over_km: card.over_km.round,
            choices: card.choices.map { |choice| { axle: choice.axle, supply: choice.supply.id, name: choice.supply.name, life_km: choice.life_km.round, pads_per_1000_km: rounded[choice.pads_per_1000], rotors_per_1000_km: rounded[choice.rotors_per_1000] } } }
        end

        def axle(scope)
          overview = scope.overview
          { axle: Axles.new(@knowledge).call(overview, nil), rotor: { outcome: overview.rotor_plan.outcome, label: verdict(overview.rotor_plan.outcome)["label"], sides: overview.rotor_verdicts.map { |side, found| rotor_side(overview, side, found) } } }
        end

        def rotor_side(overview, side, found)
          text = verdict(found.outcome)
          tokens = { "side" => side.capitalize, "reading_mm" => found.reading_mm, "error_mm" => found.error_mm, "discard_mm" => found.discard_mm, "spare_mm" => found.spare_mm, "chance" => found.chance }
          { side:, outcome: found.outcome, sentence: Service::Wording.new(overview.file.vehicle.distance_unit).fill(text.fetch("sentence"), tokens), change: text.fetch("change") }
        end
      end
    end
  end
end
