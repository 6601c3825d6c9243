# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The fluid of a job: displaced, drawn off, bought, and the order of bleeding.
      class Fluid
        # The work that changes it.
        NEW_FLUID = "bleed"
        # plan: Core::Planning::FluidPlan::Plan; grade: label or nil; mixing: [may, never] labels; order: [[axle,
        # side]] or [];
        # order_from: sentence; methods: knowledge entries with whether their tool is owned
        Summary = Core::Value.define(:plan, :grade, :may, :never, :bleeds, :order, :order_from, :methods)

        def initialize(context)
          @knowledge = context.knowledge
          @rules = context.knowledge.fluid
          @owned = Workshop::OwnedTools.new(context)
        end

        # VehicleOverviews::Overview, Scope::Chosen, Steps::Ordered -> Summary, or nil of a trailer, which has none
        def call(overview, chosen, ordered)
          fluid = Judging::FluidSummary.new(@knowledge)
          card = fluid.call(overview) or return
          pushing = chosen.included.select { |axle| works(ordered, axle).include?("push") }
          pushed = pushing.map { |axle| fluid.pushed_ml(axle.overview, new_rotors: axle.works.include?("rotors_new")) }
          bled = ordered.lifts.flat_map(&:bleeding)
          plan =
            planner(overview.vehicle.kind).call(
              pushed: pushed.include?(nil) ? nil : pushed.sum,
              headroom: fluid.room_ml(overview, chosen.included.map(&:overview)),
              pushes: pushing.any?,
              flushed: flushed(chosen, bled).sum { |corner| discs(corner) },
              opened: opened(ordered, bled, flushed(chosen, bled)).sum { |corner| discs(corner) }
            )
          Summary.new(
            plan:,
            grade: card.grade,
            may: card.may,
            never: card.never,
            bleeds: bled.any?,
            order: bled.map { |corner| [corner.axle, corner.side] },
            order_from: order_from(overview, ordered.bleed),
            methods: bled.any? ? methods : []
          )
        end

        private

        def works(ordered, axle) = ordered.setups.find { |setup| setup.axle == axle.name }.configuration["work"]
        # Corners that get new fluid; the others are bled until no air comes.
        def flushed(chosen, bled)
          axles = chosen.included.select { |axle| axle.works.include?(NEW_FLUID) }.map(&:name)
          bled.select { |corner| axles.include?(corner.axle) }
        end

        def discs(corner) = corner.side == "both" ? 2 : 1
        # Corners that are bled for the air alone, and those of the flushed ones that run empty before it.
        def opened(ordered, bled, flushed)
          empty =
            ordered.lifts.flat_map(&:corners).select { |corner| corner.configuration["work"].include?("hydraulics") }
          (bled - flushed) + flushed.select { |corner| empty.include?(corner) }
        end

        def planner(kind)
          Core::Planning::FluidPlan.new(
            {
              flush_ml: @rules.dig("flush_per_corner", kind),
              opened_ml: @rules.dig("opened_per_corner", "ml"),
              top_up_ml: @rules.dig("top_up", "ml"),
              bottles: @rules.dig("bottles", "ml"),
              headroom_share: @rules.dig("headroom_share", "value")
            }
          )
        end

        def methods
          @rules.fetch("methods").map { |method| method.merge("owned" => method["tools"].intersect?(@owned.ids)) }
        end

        def order_from(overview, bleed)
          return if bleed.nil? || overview.vehicle.kind == "motorcycle"

          sentence = @rules.dig("orders", bleed[:order], "sentence")
          return "#{sentence} #{Message.of("jobs.bleed_maker")}" if bleed[:maker]

          from = Message.of(bleed[:split] ? "jobs.bleed_circuits" : "jobs.bleed_usual")
          [sentence, from, (Message.of("jobs.bleed_left") unless bleed[:side_known])].compact.join(" ")
        end
      end
    end
  end
end
