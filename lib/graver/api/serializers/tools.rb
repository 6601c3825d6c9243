# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The trade's tools, and which of them are owned.
      class Tools
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Workshop::OwnedTools
        def call(tools)
          shown = @knowledge.tools.reject(&:by_torque)
          owned, measuring = tools.ids, tools.measuring
          {
            tools:
              shown.map do |tool|
                tool(tool).merge(owned: owned.include?(tool.id), measuring: measuring.include?(tool.id))
              end
          }
        end

        private

        def tool(tool)
          { **tool.to_h.slice(:id, :label), special: tool.special, set: tool.covers.any? }
        end
      end
    end
  end
end
