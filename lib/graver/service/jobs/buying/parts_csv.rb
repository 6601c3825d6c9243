# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The shopping list of a job as a table (docs/formats.md).
      module PartsCsv
        COLUMNS = %w[kind axle item count unit state name number supplier price_each lead_days order_by on_shelf].freeze

        module_function

        # JobPlan::Plan -> CSV text
        def call(plan)
          rows =
            plan.parts.map { |part| part(part) } + plan.consumables.map { |each| consumable(each) } +
              plan.tools.reject { |tool| tool.line.status == "owned" }.map { |tool| tool(tool) }
          LogFormat::CsvText.call(COLUMNS, rows)
        end

        def part(part)
          [
            "part",
            part.line.axle,
            part.line.label,
            part.line.count,
            nil,
            part.state,
            *own(part.chosen),
            part.order_by&.iso8601,
            part.chosen&.on_shelf
          ]
        end

        def consumable(each)
          [
            "consumable",
            nil,
            each.label,
            format("%g", each.amount),
            each.unit,
            each.state,
            *own(each.supply),
            nil,
            format("%g", each.have)
          ]
        end
        def tool(tool)
          [
            "tool",
            nil,
            tool.line.label,
            1,
            nil,
            tool.resolved ? "resolved" : tool.line.status,
            *own(tool.supply),
            nil,
            nil
          ]
        end
        def own(supply) = supply ? supply.to_h.values_at(:name, :number, :supplier, :price, :lead_days) : [nil] * 5
      end
    end
  end
end
