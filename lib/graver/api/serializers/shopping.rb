# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Parts, consumables and tools of a job, and the owner's own entries of them.
      class Shopping
        SUPPLY = %i[id kind item axle_id name number supplier price lead_days on_shelf compound thickness diameter unit].freeze

        def self.supply(row) = row && row.to_h.slice(*SUPPLY)

        # Service::JobPlan::Plan -> { parts:, consumables:, tools:, places: }
        def call(plan)
          { parts: plan.parts.map { |part| part(part) }, consumables: plan.consumables.map { |each| consumable(each) }, tools: plan.tools.map { |tool| tool(tool) },
            places: plan.places.map { |place| place.slice("place", "use", "never") } }
        end

        private

        def part(part)
          line = part.line
          { id: part.id, item: line.id, axle: line.axle, label: line.label, count: line.count, note: line.note, optional: line.optional, kit_lacks: line.kit_lacks, lays: line.lays, state: part.state,
            chosen: part.chosen&.id, supplies: part.supplies.map { |supply| self.class.supply(supply) }, checks: part.checks.map { |check| check(check) }, order_by: part.order_by&.iso8601, price: part.price&.to_f }
        end

        def check(check)
          { what: check.what.sub("_mm", ""), old_mm: check.old_mm&.to_f&.round(2), new_mm: check.new_mm&.to_f&.round(2), within_mm: check.within_mm, verdict: check.verdict }
        end

        def consumable(each)
          { id: each.id, label: each.label, unit: each.unit, amount: each.amount.to_f, said: each.said(each.amount), have: each.have.positive? ? each.said(each.have) : nil, note: each.note, state: each.state, supply: self.class.supply(each.supply) }
        end

        def tool(tool)
          line = tool.line
          { id: line.id, label: line.label, status: line.status, by: line.by, uses: line.uses, never: line.never, note: line.note, special: line.special, settled: tool.settled, supply: self.class.supply(tool.supply) }
        end
      end
    end
  end
end
