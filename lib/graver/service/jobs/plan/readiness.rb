# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What is still missing for a job, and what to do about each item.
      class Readiness
        # id: what a tick refers to; kind: of knowledge/rules/readiness.yml; about: id of the tool, part or whatever it
        # is; text, todo: sentences; resolved: ticked by the owner;
        # blocks: the job is not ready while it is open; axle_id: whose brake data mend it, or nil
        # never: no reason makes the job ready while it is open
        Item =
          Core::Value.define(:id, :kind, :about, :text, :todo, :resolved, :blocks, :never, :tickable, :axle_id) do
            # Whether it keeps the job from being ready.
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
          works = plan.scope.included.flat_map(&:works)
          @looking = works.any? && works.all? { |work| @context.knowledge.work(work).looking }
          [
            *data(plan),
            *TorqueReadiness.new(@context, method(:item)).call(plan),
            *rotors(plan),
            *parts(plan),
            *tools(plan),
            *consumables(plan),
            *fluid(plan),
            *time(plan, job)
          ]
        end

        private

        def item(kind, id, text, axle_id: nil, **tokens)
          rule = @rules.fetch(kind)
          tickable = rule.fetch("ticked", false)
          Item.new(
            id: "#{kind}:#{id}",
            kind:,
            about: id,
            text:,
            todo: Base::Wording.tokens(rule.fetch("todo"), tokens).then { |todo| todo[0].upcase + todo[1..] },
            resolved: tickable && @resolved.include?("#{kind}:#{id}"),
            tickable:,
            blocks: rule.fetch("blocks") && !(@looking && rule["looking"] == false),
            never: rule.fetch("never", false),
            axle_id:
          )
        end

        def data(plan)
          plan.gaps.map { |gap| gap(gap) } +
            plan.impossible.map do |file, because|
              item("impossible", file.axle.id.to_s, "#{file.axle.name.capitalize}: #{because}", axle_id: file.axle.id)
            end
        end

        def gap(gap)
          axle, field = gap.file.axle, gap.field
          text =
            Message.of(
              # "Front slide pin bolts: torque unknown"
              field.label.include?(":") ? "readiness.fastener_field" : "readiness.field",
              axle: axle.name.capitalize,
              field: Typography.inside(field.label),
              waits: field.waits
            )
          item(gap.blocks ? "data" : "wanted", "#{axle.id}.#{field.key}", text, axle_id: axle.id, find: field.find)
        end

        # Rotors that stay with new pads, though their verdict is open, or leaves no other way than new ones.
        def rotors(plan)
          staying = plan.scope.included.select { |axle| axle.renewed? && axle.rotor_works.empty? }
          staying.filter_map do |axle|
            label, own = axle.rotors[:label], axle.file.wording.method(:own)
            if axle.rotors[:must]
              next(
                item(
                  "rotors_must",
                  axle.name,
                  own.call(Message.of("readiness.rotors_must", axle: axle.name.capitalize, verdict: label.downcase)),
                  axle_id: axle.file.axle.id
                )
              )
            end

            if UNCLEAR.include?(axle.rotors[:verdict])
              item(
                "rotors",
                axle.name,
                own.call(Message.of("readiness.rotors_open", axle: axle.name.capitalize)),
                label: label.downcase
              )
            end
          end
        end

        def parts(plan)
          plan.parts.flat_map { |part| [*mismatches(part), *lacking(part)] }
        end

        def mismatches(part)
          part
            .checks
            .select { |check| check.verdict == "differs" }
            .map do |check|
              sizes = Message.of("readiness.sizes", new: check.new_mm.to_f, old: check.old_mm.to_f)
              item(
                "mismatch",
                "#{part.id}.#{check.what}",
                "#{part.chosen.name}: #{check.what.sub("_mm", "")} #{sizes}."
              )
            end
        end

        def lacking(part)
          return [] if part.state == "shelf"
          return [item("spares", part.id, named(part))] if part.line.optional

          todo = part.chosen ? order(part) : Message.of("readiness.enter_part")
          [item("parts", part.id, named(part), todo:)]
        end

        def named(part)
          Message.of(
            "readiness.part",
            axle: part.line.axle.capitalize,
            count: part.line.count || "?",
            part: Typography.inside(part.line.label)
          )
        end
        def order(part)
          return Message.of("readiness.order", name: part.chosen.name) unless part.order_by

          Message.of("readiness.order_by", name: part.chosen.name, day: part.order_by)
        end

        def tools(plan)
          plan
            .tools
            .select { |tool| tool.line.status == "missing" }
            .map do |tool|
              uses = tool.line.uses.any? ? " (#{tool.line.uses.join(", ")})" : ""
              todo = [
                Message.of(tool.line.special ? "readiness.rare_tool" : "readiness.buy_tool"),
                tool.line.never
              ].compact.join("; ")
              item("tools", tool.line.id, "#{tool.line.label}#{uses}", todo: "#{todo}.")
            end
        end

        def consumables(plan)
          plan
            .consumables
            .reject { |each| each.state == "shelf" }
            .map { |each| item("consumables", each.id, each.label, amount: each.lacking) }
        end

        def fluid(plan)
          card = plan.fluid or return []
          if card.bleeds && card.grade.nil?
            unknown =
              item("grade", "fluid", Message.of("readiness.grade"), axle_id: plan.scope.axles.first.file.axle.id)
          end
          [unknown, room(card.plan)].compact
        end

        def room(plan)
          if plan.draw_off.nil?
            full = plan.headroom&.zero?
            return(
              item(
                full ? "draw_off" : "overflow",
                "fluid",
                Message.of(full ? "readiness.at_max" : "readiness.overflow")
              )
            )
          end
          return unless plan.draw_off.positive?

          item(
            "draw_off",
            "fluid",
            Message.of(
              "readiness.draw_off",
              pushed: plan.pushed.round,
              room: plan.headroom.round,
              draw_off: plan.draw_off
            )
          )
        end

        def time(plan, job)
          day = job&.planned_for
          late = plan.parts.select { |part| part.order_by && part.order_by < @context.today }
          found =
            late.map do |part|
              item("parts_late", part.id, Message.of("readiness.too_late", part: part.chosen.name, day:))
            end
          found << item("day", "day", Message.of("readiness.no_day")) unless day
          if plan.scope.included.any? { |axle| axle.works.intersect?(%w[rotors_turn drums_turn]) }
            found << item("turning", "rotors", Message.of("readiness.machining"))
          end
          found << item(
            "weather",
            day ? day.iso8601 : "day",
            day ? Message.of("readiness.weather_for", day:) : Message.of("readiness.weather")
          )
        end
      end
    end
  end
end
