# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What a job needs on the day: parts, consumables and tools, compared with those owned.
      class Shopping
        # line: PartsList::Line; supplies: [Storage::Supply] of this part; chosen: one of them or nil; checks:
        # [PartMatch::Check]; state: "shelf", "order", "choose" or "resolved"; order_by: Date or nil; price: of all of
        # them, Rational or nil
        Part =
          Core::Value.define(:line, :supplies, :chosen, :checks, :state, :order_by, :price) do
            # As the owner's choice names it: "front.pads".
            def id = "#{line.axle}.#{line.id}"
          end
        # amount: in unit; have: on the shelf; state: "shelf", "buy" or "resolved"; price: Rational or nil
        Consumable =
          Core::Value.define(:id, :label, :unit, :one, :amount, :have, :note, :state, :supply, :price) do
            # amount: in unit -> in words
            def said(amount) = "#{format("%g", amount)} #{amount == 1 && one ? one : unit}"
            # What is not on the shelf, in words.
            def lacking = said(amount - have)
          end
        # line: ToolCheck::Line; resolved: borrowed or found for this job; supply: its price entry, or nil
        Tool = Core::Value.define(:line, :resolved, :supply)

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # Steps::Ordered, { axle name => AxleRecord }, [Torque::Set], Storage::Job or nil -> [Part]
        def parts(ordered, files, torque, job)
          ordered.setups.flat_map do |setup|
            lines = torque.map(&:line).select { |line| line.axle == setup.axle }
            Core::Planning::PartsList
              .new
              .call(@knowledge.parts, setup, lines)
              .map { |line| part(told(line, files.fetch(setup.axle), lines), files.fetch(setup.axle), job) }
          end
        end

        # fluid: Core::Planning::FluidPlan::Plan; torque: [Torque::Set], whose fasteners need threadlocker or grease
        def consumables(ordered, fluid, torque, job)
          named = (ordered.placed || []).flat_map { |placed| placed.step.consumables }.uniq
          entries = @knowledge.consumables.select { |entry| named.include?(entry.id) }
          entries
            .map { |entry| [entry, amount(entry, ordered, fluid, torque)] }
            .select { |_, amount| amount.positive? }
            .map { |entry, amount| consumable(entry, amount, fluid, job) }
        end

        # Steps::Ordered, [Torque::Set], Storage::Job or nil -> [Tool]
        def tools(ordered, torque, job)
          drives =
            torque
              .map(&:line)
              .select(&:drive)
              .group_by(&:drive)
              .transform_values { |lines| lines.map { |line| [drive(line.drive), line.label] }.uniq }
          ids = (ordered.placed || []).flat_map { |placed| placed.step.tools }
          lines =
            Core::Planning::ToolCheck.new(@knowledge.tools).call(ids, drives, Workshop::OwnedTools.new(@context).ids)
          lines.map do |line|
            Tool.new(
              line:,
              resolved: resolved?(job, "tools:#{line.id}"),
              supply: supplies.of_item("tool", line.id, nil).first
            )
          end
        end

        private

        # How many units the price is for: cans, bottles, or one tube.
        def bought(entry, lacking, fluid)
          return fluid.bottles.length if entry.id == "fluid"

          entry.countable ? lacking.ceil : 1
        end

        # The variant it is for, and the bolts that should be in the box with the pads.
        def told(line, file, torque_lines)
          variant = line.by_variant && file.choice("brake.variant")
          bolts = line.id == "pads" ? torque_lines.select(&:comes_with_pads).map { |each| each.label.downcase } : []
          line.with(
            label: variant ? Message.of("jobs.variant", part: line.label, variant:) : line.label,
            lays: line.lays + bolts.map { |what| Message.of("jobs.in_the_box", what:) }
          )
        end

        def drive(id) = @knowledge.brake_data.label("wheel_nut.drive", id)
        def supplies = @supplies ||= Workshop::Supplies.new(@context)
        def resolved?(job, item) = job&.resolved&.include?(item) || false

        def part(line, file, job)
          mine = supplies.of_item("part", line.id, file.axle.id)
          chosen = chosen(line, mine, job)
          state =
            part_state(line, chosen, resolved?(job, "#{line.optional ? "spares" : "parts"}:#{line.axle}.#{line.id}"))
          order_by = state == "order" ? order_by(job, chosen) : nil
          Part.new(
            line:,
            supplies: mine,
            chosen:,
            checks: checks(line, chosen, file),
            state:,
            order_by:,
            price: chosen&.price && (supplies.price(chosen) * line.count.to_i)
          )
        end

        # The owner's choice, else the one on the shelf, else the only one.
        def chosen(line, mine, job)
          wanted = job&.choices&.fetch("#{line.axle}.#{line.id}", nil)
          mine.find { |supply| supply.id == wanted } || mine.find { |supply| on_shelf(supply) >= line.count.to_i } ||
            (mine.first if mine.length == 1)
        end

        def on_shelf(supply) = supplies.amount(supply)

        def part_state(line, chosen, resolved)
          return "shelf" if chosen && line.count && on_shelf(chosen) >= line.count
          return "resolved" if resolved

          chosen ? "order" : "choose"
        end

        # nil unless the day is set
        def order_by(job, chosen)
          day = job&.planned_for or return
          day - (chosen.lead_days || Household::ScheduleChoices.new(@context).chosen.fetch("lead_days"))
        end

        def checks(line, chosen, file)
          known = line.matches.values.to_h { |match| [match["key"], file.length_mm(match["key"])] }
          Core::Planning::PartMatch.call(line.matches, chosen ? supplies.details_mm(chosen) : {}, known)
        end

        def amount(entry, ordered, fluid, torque)
          return fluid.needed if entry.id == "fluid"
          if entry.per_threadlocker
            return torque.map(&:line).select { |line| locked?(line) }.sum { |line| line.count.to_i }
          end

          corners = ordered.lifts.sum { |lift| lift.corners.sum { |corner| corner.side == "both" ? 2 : 1 } }
          entry.per_job + (entry.per_axle * ordered.setups.length) + (entry.per_corner * corners)
        end

        def locked?(line) = line.reused || line.threadlocker == "medium"

        def consumable(entry, amount, fluid, job)
          mine = supplies.of_item("consumable", entry.id, nil)
          supply, have = mine.first, mine.sum { |each| on_shelf(each) }
          lacking = resolved?(job, "consumables:#{entry.id}") ? "resolved" : "buy"
          state = have >= amount ? "shelf" : lacking
          fields = { id: entry.id, label: entry.label, unit: entry.unit, one: entry.one, note: entry.note }
          Consumable.new(
            **fields,
            amount:,
            have:,
            state:,
            supply:,
            price: state == "buy" && supply&.price ? supplies.price(supply) * bought(entry, amount - have, fluid) : nil
          )
        end
      end
    end
  end
end
