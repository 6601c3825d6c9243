# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What goes with each step of a job at the car: readings, values on file, photos, and what it waits for.
      class StepDetails
        # steps: { key => Detail }; set_aside: [[plan edit, its event, why it does not count, in words]]
        All = Core::Value.define(:steps, :set_aside)
        # reads: [StepReads::Ask]; values: [StepValues::Value]; photos: StepPhotos::Here; joins: is it done together
        # with the step before; waits: keys of the steps it waits for; said: StepSaid#digest
        Detail = Core::Value.define(:reads, :values, :photos, :joins, :waits, :said)

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # JobPlan::Plan -> All
        def call(plan)
          placed = plan.ordered.placed || []
          @reads, @values = StepReads.new(@knowledge, plan), StepValues.new(@knowledge, plan)
          @photos = StepPhotos.new(plan.photos, plan.job, placed)
          @torque = plan.torque
          @first = Core::Planning::StepGroups.call(placed).to_set { |group| group.first.key }
          @waits = plan.job ? JobProgress.waits(@knowledge, plan.ordered, plan.job) : {}
          All.new(steps: placed.to_h { |each| [each.key, detail(each)] }, set_aside: lost(plan.ordered))
        end

        private

        def detail(placed)
          Detail.new(
            reads: @reads.call(placed),
            values: @values.call(placed),
            photos: @photos.call(placed),
            joins: !@first.include?(placed.key),
            waits: @waits.fetch(placed.key, []),
            said: StepSaid.digest(placed, @torque)
          )
        end

        def lost(ordered)
          faults = OrderFaults.new(@knowledge)
          ordered.set_aside.map { |plan_edit, event, why| [plan_edit, event, faults.sentence(why)] }
        end
      end
    end
  end
end
