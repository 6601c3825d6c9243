# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Supplies a finished job used: named for the record, and taken off the shelf.
      class UsedSupplies
        # said: ["1 x Set of pads ...: Pads, plain, P-11520"]; left: { supply id => what is on the shelf afterwards,
        # text }
        Used =
          Core::Value.define(:said, :left, :store) do
            # Takes them off the shelf.
            def take = left.each { |id, amount| store.supplies.change(id, { on_shelf: amount }) }
          end

        def initialize(context)
          @store = context.store
          @supplies = Workshop::Supplies.new(context)
        end

        # JobPlan::Plan -> Used
        def call(plan)
          bought = plan.parts.select(&:chosen)
          taken =
            bought.map { |part| [part.chosen, part.line.count.to_i] } +
              plan.consumables.select(&:supply).map { |each| [each.supply, each.amount] }
          Used.new(said: bought.map { |part| said(part) }, left: left(taken), store: @store)
        end

        private

        def said(part)
          "#{part.line.count || "?"} × #{part.line.label}: #{[part.chosen.name, part.chosen.number].compact.join(", ")}"
        end

        # One entry may serve both axles.
        def left(taken)
          taken
            .group_by(&:first)
            .to_h do |supply, uses|
              [supply.id, format("%g", [(@supplies.amount(supply) - uses.sum(&:last)).to_f, 0].max)]
            end
        end
      end
    end
  end
end
