# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # What is still missing for a job, and what to do about each.
      class Readiness
        # id: what a tick refers to; kind: of knowledge/rules/readiness.yml; text, todo: sentences; resolved: ticked by the owner;
        # blocks: the job is not ready while it is open; axle_id: whose brake data mend it, or nil
        # never: no reason makes the job ready while it is open
        Item = Core::Value.define(:id, :kind, :text, :todo, :resolved, :blocks, :never, :tickable, :axle_id) do
          def open? = blocks && !resolved
        end

        # Verdicts on rotors that are none yet.
        UNCLEAR = %w[measure_again unknown_limit unmeasured].freeze

        def initialize(context)
          @context = context
          @rules = context.knowledge.readiness
        end

        # JobPlan::Plan without its readiness, as its parts -> [Item]
        def call(plan, job)
          @resolved = job&.resolved || []
          [*data(plan), *torque(plan), *rotors(plan), *parts(plan), *tools(plan), *consumables(plan), *fluid(plan), *time(plan, job)]
        end

        private

        def item(kind, id, text, axle_id: nil, **tokens)
          rule = @rules.fetch(kind)
          tickable = rule.fetch("ticked", false)
          Item.new(id: "#{kind}:#{id}", kind:, text:, todo: Base::Wording.tokens(rule.fetch("todo"), tokens).then { |todo| todo[0].upcase + todo[1..] },
                   resolved: tickable && @resolved.include?("#{kind}:#{id}"), tickable:,
                   blocks: rule.fetch("blocks"), never: rule.fetch("never", false), axle_id:)
        end

        def data(plan)
          plan.gaps.map { |gap| gap(gap) } + plan.impossible.map { |file, because| item("impossible", file.axle.id.to_s, "#{file.axle.name.capitalize}: #{because}", axle_id: file.axle.id) }
        end

        def gap(gap)
          axle, field = gap.file.axle, gap.field
          text = "#{axle.name.capitalize}: #{Base::Wording.inside(field["label"])} not known; #{field["waits"]}."
          item(gap.blocks ? "data" : "wanted", "#{axle.id}.#{field["key"]}", text, axle_id: axle.id, find: field["find"])
        end

        def torque(plan)
          plan.torque.flat_map { |set| [*unknown(set, plan), *rivals(set, plan), *doubtful(set, plan), *angled(set), *wrench(set)] }
        end

        def unknown(set, plan)
          return [] if set.line.torque || @context.knowledge.fastener(set.line.fastener)["snug"]

          [item("torque", set.id, "#{place(set.line)}: no torque is on file.", axle_id: plan.axle_id(set.line.axle))]
        end

        # Two sources, two values: a question until one is chosen.
        def rivals(set, plan)
          return [] if set.line.rivals.empty?

          said = [set.line.torque, *set.line.rivals.map(&:first)].map(&:said)
          [item("rivals", set.id, "#{place(set.line)}: sources disagree, #{said.join(" and ")}.", axle_id: plan.axle_id(set.line.axle))]
        end

        # Ticked for this very value: another one is asked about again.
        def of_value(set) = "#{set.id}.#{format("%g", set.line.torque.newton_metres)}"

        def doubtful(set, plan)
          return [] unless set.line.torque && (set.line.doubt || set.line.hearsay)

          said = set.line.doubt ? "#{set.line.torque.said} is not what is usual" : "the value does not come from the maker"
          [item("doubt", of_value(set), "#{place(set.line)}: #{said}.", axle_id: plan.axle_id(set.line.axle))]
        end

        def angled(set)
          set.line.angle_degrees ? [item("angle", set.id, "#{place(set.line)}: a second stage of #{format("%g", set.line.angle_degrees)}°.")] : []
        end

        def wrench(set)
          return [item("calibration", set.id, "#{place(set.line)}: #{set.wrench.wrench.name} is overdue for calibration.")] if set.wrench.respond_to?(:overdue) && set.wrench.overdue
          return [] unless set.wrench.is_a?(Core::Planning::WrenchChoice::Borrow)

          range = set.wrench.range
          sentence = range ? "Borrow one for #{range.join(" to ")} N·m." : "No common wrench does: ask a shop."
          [item("wrench", of_value(set), "#{place(set.line)}: no wrench of yours reaches #{format("%.3g", set.line.torque.newton_metres)} N·m.", sentence:)]
        end

        def place(line) = "#{line.axle.capitalize} #{line.label.downcase}"

        # Rotors that stay with new pads, though their verdict is open, or leaves no other way than new ones.
        def rotors(plan)
          staying = plan.scope.included.select { |axle| axle.works.include?("pads") && !axle.works.intersect?(%w[rotors_new rotors_turn]) }
          staying.filter_map do |axle|
            label = @context.knowledge.rotor_rules.dig("verdicts", axle.rotors[:verdict], "label")
            next item("rotors_must", axle.name, "#{axle.name.capitalize} rotors stay in this plan, but the verdict is: #{label.downcase}.", axle_id: axle.file.axle.id) if axle.rotors[:must]

            item("rotors", axle.name, "#{axle.name.capitalize} rotors stay in this plan, but their verdict is open.", label: label.downcase) if UNCLEAR.include?(axle.rotors[:verdict])
          end
        end

        def parts(plan)
          plan.parts.flat_map { |part| [*mismatches(part), *lacking(part)] }
        end

        def mismatches(part)
          part.checks.select { |check| check.verdict == "differs" }.map do |check|
            sizes = "#{format("%g", check.new_mm)} mm, the old one's #{format("%g", check.old_mm)} mm"
            item("mismatch", "#{part.id}.#{check.what}", "#{part.chosen.name}: #{check.what.sub("_mm", "")} #{sizes}.")
          end
        end

        def lacking(part)
          return [] if part.state == "shelf"
          return [item("spares", part.id, named(part))] if part.line.optional

          todo = part.chosen ? order(part) : "Enter the part you buy, or tick it when you have it."
          [item("parts", part.id, named(part), todo:)]
        end

        def said(day) = day.strftime("%-d %B")
        def named(part) = "#{part.line.axle.capitalize}: #{part.line.count || "?"} × #{Base::Wording.inside(part.line.label)}"
        def order(part) = "Order “#{part.chosen.name}”#{" by #{said(part.order_by)}" if part.order_by}; tick it when it is there."

        def tools(plan)
          plan.tools.select { |tool| tool.line.status == "missing" }.map do |tool|
            uses = tool.line.uses.any? ? " (#{tool.line.uses.join(", ")})" : ""
            todo = [tool.line.special ? "Rarely owned: ask round early, borrow, hire or buy" : "Buy or borrow it", tool.line.never].compact.join("; ")
            item("tools", tool.line.id, "#{tool.line.label}#{uses}", todo: "#{todo}.")
          end
        end

        def consumables(plan)
          plan.consumables.reject { |each| each.state == "shelf" }.map { |each| item("consumables", each.id, each.label, amount: each.lacking) }
        end

        def fluid(plan)
          card = plan.fluid
          unknown = item("grade", "fluid", "The fluid's grade is not known, and some never mix.", axle_id: plan.scope.axles.first.file.axle.id) if card.bleeds && card.grade.nil?
          [unknown, room(card.plan)].compact
        end

        def room(plan)
          return item("overflow", "fluid", "Whether the reservoir overflows cannot be said.") if plan.draw_off.nil?
          return unless plan.draw_off.positive?

          sums = "The pistons send back about #{plan.pushed.round} ml, there is room for #{plan.headroom.round} ml"
          item("draw_off", "fluid", "#{sums}: draw off #{(plan.draw_off / 5.0).ceil * 5} ml.")
        end

        def time(plan, job)
          day = job&.planned_for
          late = plan.parts.select { |part| part.order_by && part.order_by < @context.today }
          found = late.map { |part| item("parts_late", part.id, "#{part.chosen.name} cannot be there by #{said(day)}.") }
          found << item("day", "day", "No day is set.") unless day
          found << item("turning", "rotors", "Turned rotors take days.") if plan.scope.included.any? { |axle| axle.works.include?("rotors_turn") }
          found << item("weather", day ? day.iso8601 : "day", "Place and weather#{" for #{said(day)}" if day}.")
        end
      end
    end
  end
end
