# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The torque card of a job, and which wrench tightens each line.
      class Torque
        # line: TorqueCard::Line; wrench: WrenchChoice::Setting, Borrow or nil
        Set = Core::Value.define(:line, :wrench) { def id = "#{line.axle}.#{line.fastener}" }

        def initialize(context)
          @knowledge = context.knowledge
          @wrenches = Workshop::TorqueWrenches.new(context)
        end

        # Steps::Ordered, { axle name => AxleRecord } -> [Set]
        def call(ordered, files)
          fasteners = @knowledge.fasteners.to_h { |fastener| [fastener.id, fastener] }
          lines =
            ordered.setups.flat_map do |setup|
              card(ordered.concerning(setup.axle), setup, fasteners, files.fetch(setup.axle))
            end
          lines.map { |line| Set.new(line:, wrench: @wrenches.choose(line.torque)) }
        end

        private

        # In the owner's words: bolts where there are bolts.
        def card(placed, setup, fasteners, file)
          wording = Base::Wording.new(file.vehicle.distance_unit, @knowledge.brake_data.terms(file.place))
          lines = Core::Planning::TorqueCard.new.call(placed, setup, fasteners:, data: file.planning_data)
          lines.map { |line| line.with(label: wording.own(line.label)) }
        end
      end
    end
  end
end
