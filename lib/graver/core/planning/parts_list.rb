# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Planning
      # What has to be bought for pads on one axle, with counts for both sides.
      class PartsList
        Line = Value.define(:id, :label, :count, :note)
        PADS_PER_CORNER = 2

        # parts: knowledge entries; sensors: sides that carry one; torque_lines: TorqueCard lines.
        def call(parts, caliper:, corners:, sensors:, torque_lines:)
          parts.select { |part| part["calipers"].nil? || part["calipers"].include?(caliper) }
               .flat_map { |part| lines(part, corners, sensors, torque_lines) }
        end

        private

        def lines(part, corners, sensors, torque_lines)
          case part.fetch("count")
          when "set" then [line(part, 1, "{pads}" => (corners * PADS_PER_CORNER).to_s)]
          when "per_corner" then [line(part, corners)]
          when "per_sensor" then sensors.empty? ? [] : [line(part, sensors.length)]
          when "per_single_use"
            torque_lines.select(&:single_use).map { |torque| line(part, torque.count, "{fastener}" => torque.label.downcase) }
          end
        end

        def line(part, count, tokens = {})
          label = tokens.reduce(part.fetch("label")) { |text, (token, value)| text.sub(token, value) }
          Line.new(id: part.fetch("id"), label:, count:, note: part.fetch("note"))
        end
      end
    end
  end
end
