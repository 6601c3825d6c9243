# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Jobs
      # What is missing to tighten a job's fasteners: values, a choice between values, wrenches, new bolts.
      class TorqueReadiness
        # item: callable that makes a Readiness::Item
        def initialize(context, item)
          @context = context
          @item = item
        end

        # JobPlan::Plan -> [Readiness::Item]
        def call(plan)
          plan.torque.flat_map do |set|
            [
              *unknown(set, plan),
              *rivals(set, plan),
              *doubtful(set, plan),
              *reused(set, plan),
              *angled(set),
              *wrench(set)
            ]
          end
        end

        private

        def item(...) = @item.call(...)

        def unknown(set, plan)
          return [] if set.line.torque || @context.knowledge.fastener(set.line.fastener).snug

          [
            item(
              "torque",
              set.id,
              Message.of("readiness.no_torque", place: place(set.line)),
              axle_id: plan.axle_id(set.line.axle)
            )
          ]
        end

        # Two sources, two values: a question until one is chosen.
        def rivals(set, plan)
          return [] if set.line.rivals.empty?

          said = [set.line.torque, *set.line.rivals.map(&:first)].map(&:said)
          [
            item(
              "rivals",
              set.id,
              Message.of("readiness.rivals", place: place(set.line), said:),
              axle_id: plan.axle_id(set.line.axle)
            )
          ]
        end

        # Ticked for this very value: another one is asked about again.
        def of_value(set) = "#{set.id}.#{format("%g", set.line.torque.newton_metres)}"

        def doubtful(set, plan)
          return [] unless set.line.torque && (set.line.doubt || set.line.hearsay)

          said =
            (
              if set.line.doubt
                Message.of("readiness.unusual", torque: set.line.torque.said)
              else
                Message.of("readiness.not_maker")
              end
            )
          [item("doubt", of_value(set), "#{place(set.line)}: #{said}.", axle_id: plan.axle_id(set.line.axle))]
        end

        # Once-only ones that went back once, noted before today: not a second time.
        def reused(set, plan)
          return [] unless set.line.reused && (noted = noted_on(set.line, plan)) < @context.today

          text = Message.of("readiness.reused", place: place(set.line), day: noted)
          [item("reused", "#{set.id}.#{noted.iso8601}", text, axle_id: plan.axle_id(set.line.axle))]
        end

        # The day it was entered how often this one is used.
        def noted_on(line, plan)
          file = plan.scope.axles.find { |axle| axle.name == line.axle }.file
          Date.iso8601(file.data["#{line.fastener}.single_use"].recorded_at[0, 10])
        end

        def angled(set)
          if set.line.angle_degrees
            [
              item(
                "angle",
                set.id,
                Message.of("readiness.angle", place: place(set.line), angle: set.line.angle_degrees.to_f)
              )
            ]
          else
            []
          end
        end

        def wrench(set)
          return overdue(set) if set.wrench.respond_to?(:overdue) && set.wrench.overdue

          set.wrench.is_a?(Core::Planning::WrenchChoice::Borrow) ? out_of_reach(set) : []
        end

        def overdue(set)
          text = Message.of("readiness.calibration", place: place(set.line), wrench: set.wrench.wrench.name)
          [item("calibration", set.id, text)]
        end

        def out_of_reach(set)
          range = set.wrench.range
          sentence =
            range ? Message.of("readiness.borrow", range: range.join(" to ")) : Message.of("readiness.ask_shop")
          torque = set.line.torque.said
          [item("wrench", of_value(set), Message.of("readiness.no_wrench", place: place(set.line), torque:), sentence:)]
        end

        def place(line) = "#{line.axle.capitalize} #{line.label.downcase}"
      end
    end
  end
end
