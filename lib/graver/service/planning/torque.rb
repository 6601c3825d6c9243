# frozen_string_literal: true

module Graver
  module Service
    module Planning
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
              Core::Planning::TorqueCard.new.call(
                ordered.concerning(setup.axle),
                setup,
                fasteners:,
                data: files.fetch(setup.axle).planning_data
              )
            end
          lines.map { |line| Set.new(line:, wrench: @wrenches.choose(line.torque)) }
        end
      end
    end
  end
end
