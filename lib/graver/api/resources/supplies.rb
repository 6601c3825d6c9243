# frozen_string_literal: true

module Graver
  module API
    module Resources
      # The owner's parts, consumables and tools, prices, and the parts counter.
      class Supplies < Resource
        get "/supplies", :supplies
        post "/supplies", :add_supply, 201
        patch "/supplies/:id", :change_supply
        get "/tools", :tools
        put "/tools", :own_tool
        get "/money", :money
        put "/money", :change_money
        get "/jobs/:id/offers", :offers

        def supplies
          rows =
            stock.shelf.map do |supply, what, unit, place|
              { supply: Serializers::Shopping.supply(supply), what:, unit:, place: }
            end
          { currency: choices.chosen["currency"], rows: }
        end

        def add_supply = Serializers::Shopping.supply(stock.add(payload(Contracts::NewSupply)))
        def change_supply
          given = payload(Contracts::SupplyChange)
          versioned_fields = Service::Workshop::VersionedSupply.new(context, id)
          Serializers::Shopping.supply(if_unchanged(versioned_fields, given) { stock.change(id, given) })
        end

        def tools = Serializers::Tools.new(knowledge).call(owned)

        def own_tool
          given = payload(Contracts::ToolOwned)
          owned.own(given[:tool], given[:owned])
          tools
        end

        def money = choices.chosen.merge(revision: revision(choices.chosen))

        def change_money
          given = payload(Contracts::MoneyChange)
          if_unchanged(choices.versioned_fields, given) { choices.choose(given) }
          money
        end

        def offers
          counter = Service::Jobs::PartOffers.new(context)
          found = counter.call(Service::Jobs::JobPlan.new(context).find(id), params["line"].to_s)
          {
            simulated: counter.simulated?,
            offers:
              found.map do |checked|
                { **checked.offer.to_h, checks: checked.checks.map { |check| Serializers::Shopping.check(check) } }
              end
          }
        end

        private

        def stock = Service::Workshop::Supplies.new(context)
        def owned = Service::Workshop::OwnedTools.new(context)
        def choices = Service::Workshop::MoneyChoices.new(context)
      end
    end
  end
end
