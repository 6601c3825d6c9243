# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The order of a job's steps, with the owner's changes.
      class Steps
        # lifts: [Core::Planning::Lift]; placed: [PlannedStep] or nil where no order can be trusted; set_aside:
        # [[PlanEdit, why]]; dropped: [PlannedStep] left out by the owner; own: { key => event id } of own steps; moved:
        # { key => event id }; bleed: { order:, from: } or nil
        Ordered =
          Core::Value.define(:setups, :lifts, :placed, :base, :set_aside, :dropped, :events, :bleed) do
            # Steps at an axle, and those shared that have to do with it.
            def concerning(axle)
              (placed || []).select do |each|
                [nil, axle].include?(each.axle) && [nil, "both", axle].include?(each.lift)
              end
            end
          end

        def initialize(knowledge)
          @knowledge = knowledge
          @sequence = knowledge.sequence
        end

        # { AxleScope => Lifts::Setup } in working order; possible: may an order be given?; plan_edits: { event id =>
        # Hash }
        def call(setups, file, possible:, plan_edits: {})
          order = bleed_order(file)
          in_order = ->(corners) { Core::Planning::BleedOrder.call(corners, **order.slice(:order, :near)) }
          lifts = Core::Planning::Lifts.new(joined: @knowledge.scope["joined"], bleed_order: in_order).call(setups)
          bleed = lifts.any? { |lift| lift.bleeding.any? } ? order : nil
          unless possible
            return Ordered.new(setups:, lifts:, placed: nil, base: [], set_aside: [], dropped: [], events: {}, bleed:)
          end

          base = @sequence.call(lifts)
          adjusted(base, lifts, plan_edits).with(setups:, lifts:, bleed:)
        end

        # The same for a job in progress. plan_edits: { event id => Hash }
        def of_basis(basis, plan_edits)
          adjusted(basis.placed, basis.lifts, plan_edits, basis).with(
            setups: basis.setups,
            lifts: basis.lifts,
            bleed: basis.bleed
          )
        end

        # The faults of a plan edit: none, or those the result set aside. basis: Basis of a job in progress, or nil
        def adjust(base, lifts, plan_edits, basis = nil)
          verifier = Core::Planning::PlanVerifier.new(@knowledge.procedure, lifts, base)
          Core::Planning::PlanEdits.new(verifier, held: basis&.held || [], done: basis&.done || []).call(
            base,
            plan_edits
          )
        end

        # How far a job has come: Ordered, keys done -> Core::Planning::Progress
        def progress(ordered, done)
          Core::Planning::Progress.new(
            Core::Planning::PlanVerifier.new(@knowledge.procedure, ordered.lifts, ordered.base),
            ordered.placed || [],
            done
          )
        end

        # Hash as kept -> Core::Planning::PlanEdits::PlanEdit
        def self.plan_edit(event, given)
          key = given["action"] == "insert" ? "own-#{event}" : given["key"]
          Core::Planning::PlanEdits::PlanEdit.new(
            action: given["action"],
            key:,
            after: given["after"],
            text: given["text"]
          )
        end

        # near: the master cylinder's side, the left one assumed
        def bleed_order(file)
          maker, split = file.choice("fluid.bleed_order"), file.choice("fluid.split")
          {
            order: Core::Planning::BleedOrder.chosen(maker, split),
            near: file.choice("fluid.cylinder_side") || "left",
            maker: !maker.nil?,
            split:,
            side_known: !file.choice("fluid.cylinder_side").nil?
          }
        end

        private

        def adjusted(base, lifts, plan_edits, basis = nil)
          made = plan_edits.to_h { |event, given| [self.class.plan_edit(event, given), event] }
          result = adjust(base, lifts, made.keys, basis)
          dropped = base.reject { |placed| result.placed.any? { |kept| kept.key == placed.key } }
          Ordered.new(
            setups: nil,
            lifts: nil,
            bleed: nil,
            base:,
            placed: result.placed,
            dropped:,
            set_aside: result.set_aside.map { |plan_edit, why| [plan_edit, made.fetch(plan_edit), why] },
            events: made.to_h { |plan_edit, event| [plan_edit.key, event] }
          )
        end
      end
    end
  end
end
