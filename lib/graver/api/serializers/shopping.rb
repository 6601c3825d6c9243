# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Parts, consumables and tools of a job, and the owner's own entries of them.
      class Shopping
        SUPPLY = %i[
          id
          kind
          item
          axle_id
          name
          number
          supplier
          price
          lead_days
          on_shelf
          compound
          thickness
          diameter
          unit
        ].freeze

        def self.supply(row)
          return unless row

          row
            .to_h
            .slice(*SUPPLY)
            .merge(revision: Service::Base::Revision.of(Service::Workshop::VersionedSupply.fields(row)))
        end

        # Core::Planning::PartMatch::Check
        def self.check(check)
          {
            what: check.what.sub("_mm", ""),
            old_mm: check.old_mm&.to_f&.round(2),
            new_mm: check.new_mm&.to_f&.round(2),
            within_mm: check.within_mm,
            verdict: check.verdict
          }
        end

        # Service::JobPlan::Plan -> { parts:, consumables:, tools:, places: }
        def call(plan)
          {
            parts: plan.parts.map { |part| part(part) },
            consumables: plan.consumables.map { |each| consumable(each) },
            tools: plan.tools.map { |tool| tool(tool) },
            places: plan.places.map { |place| place.to_h.slice(:place, :use, :never) }
          }
        end

        private

        def supply(row) = self.class.supply(row)

        def part(part)
          line = part.line.to_h.slice(:axle, :label, :count, :note, :optional, :kit_lacks, :lays)
          lists = {
            supplies: part.supplies.map { |row| supply(row) },
            checks: part.checks.map { |check| self.class.check(check) }
          }
          {
            **line,
            **lists,
            id: part.id,
            resolves: "#{part.line.optional ? "spares" : "parts"}:#{part.id}",
            item: part.line.id,
            state: part.state,
            chosen: part.chosen&.id,
            order_by: part.order_by&.iso8601,
            price: part.price&.to_f
          }
        end

        def consumable(each)
          have = each.have.positive? ? each.said(each.have) : nil
          {
            **each.to_h.slice(:id, :label, :unit, :note, :state),
            resolves: "consumables:#{each.id}",
            amount: each.amount.to_f,
            said: each.said(each.amount),
            have:,
            supply: supply(each.supply)
          }
        end

        def tool(tool)
          {
            **tool.line.to_h.slice(:id, :label, :status, :by, :uses, :never, :note, :special),
            resolved: tool.resolved,
            resolves: "tools:#{tool.line.id}",
            supply: supply(tool.supply)
          }
        end
      end
    end
  end
end
