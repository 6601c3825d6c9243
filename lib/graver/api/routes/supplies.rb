# frozen_string_literal: true

module Graver
  module API
    module Routes
      # The owner's own parts, consumables and tools, what things cost, and the parts counter.
      module Supplies
        def self.registered(app)
          app.helpers do
            def supplies = Service::Workshop::Supplies.new(context)

            def tools_json
              tools = Service::Workshop::OwnedTools.new(context)
              shown = knowledge.tools.reject { |tool| tool["by_torque"] }
              { tools: shown.map { |tool| { **tool.slice("id", "label"), special: tool.fetch("special", false), set: tool.key?("covers"), **owned(tool, tools) } } }
            end

            def owned(tool, tools) = { owned: tools.ids.include?(tool["id"]), measuring: tools.measuring.include?(tool["id"]) }

            def offer_json(checked)
              { **checked.offer.to_h, checks: checked.checks.map { |check| Serializers::Shopping.check(check) } }
            end
          end

          app.get("/supplies") do
            rows = supplies.shelf.map { |supply, what, unit, place| { supply: Serializers::Shopping.supply(supply), what:, unit:, place: } }
            answer({ currency: Service::Workshop::MoneyChoices.new(context).chosen["currency"], rows: })
          end

          app.post("/supplies") { answer(Serializers::Shopping.supply(supplies.add(payload(Contracts::NewSupply))), 201) }
          app.patch("/supplies/:id") { answer(Serializers::Shopping.supply(supplies.change(id, payload(Contracts::SupplyChange)))) }
          app.get("/tools") { answer(tools_json) }

          app.put("/tools") do
            payload(Contracts::ToolOwned).then { |given| Service::Workshop::OwnedTools.new(context).own(given[:tool], given[:owned]) }
            answer(tools_json)
          end

          app.get("/money") { answer(Service::Workshop::MoneyChoices.new(context).chosen) }
          app.put("/money") { answer(Service::Workshop::MoneyChoices.new(context).choose(payload(Contracts::MoneyChange))) }

          app.get("/jobs/:id/offers") do
            offers = Service::Planning::PartOffers.new(context).call(plan_of(job_of_address), params["line"].to_s)
            answer({ simulated: context.counter.simulated?, offers: offers.map { |checked| offer_json(checked) } })
          end
        end
      end
    end
  end
end
