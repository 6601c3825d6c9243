# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Values on file that a step needs, so the owner does not leave the car to look them up.
      class StepValues
        FLUID = Core::Planning::Step::FLUID
        # label, value: in words
        Value = Core::Value.define(:label, :value)

        # plan: JobPlan::Plan
        def initialize(knowledge, plan)
          @catalogue = knowledge.brake_data
          @plan = plan
        end

        # Core::Planning::PlannedStep -> [Value]; unknown values are left out, as the job's gaps name them
        def call(placed)
          placed.step.tells.flat_map { |key| FLUID.include?(key) ? [fluid(key)] : data(key, placed) }
        end

        private

        def fluid(key)
          plan = @plan.fluid.plan
          amount = key == "fluid.draw_off" ? plan.draw_off : plan.needed
          Value.new(label: Message.of("jobs.#{key.tr(".", "_")}"), value: said_ml(amount))
        end

        def said_ml(amount)
          return Message.of("jobs.ml_unknown") unless amount

          amount.zero? ? Message.of("jobs.ml_none") : Message.of("jobs.ml_about", ml: amount.round)
        end

        def data(key, placed)
          field = @catalogue.field(key) or return []
          files(placed, field).filter_map do |file|
            datum = file.data[key] or next
            axle = (file.axle.name.capitalize if placed.axle.nil? && field.scope != "vehicle")
            label = [axle, field.label].compact.join(": ")
            Value.new(label:, value: [@catalogue.label(key, datum.value), datum.unit].compact.join(" "))
          end
        end

        # A value of the vehicle is given once; a shared step gets the values of every axle it is done for.
        def files(placed, field)
          axles = placed.axle ? @plan.scope.axles.select { |axle| axle.name == placed.axle } : @plan.scope.included
          axles = axles.first(1) if field.scope == "vehicle"
          axles.map(&:file)
        end
      end
    end
  end
end
