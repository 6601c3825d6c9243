# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The parts to buy for the work on one axle, with counts for both sides.
      class PartsList
        # optional: keep it at hand, it may not be needed; kit_lacks: sentence or nil; lays: what comparing the parts
        # side by side shows; by_variant: one model may have several
        Line = Value.define(:id, :label, :count, :axle, :note, :optional, :kit_lacks, :lays, :matches, :by_variant)
        PADS_PER_ROTOR = 2

        # parts: knowledge entries; setup: Lifts::Setup; torque_lines: TorqueCard lines of the axle -> [Line]
        def call(parts, setup, torque_lines)
          works = setup.configuration.fetch("work")
          wanted =
            parts.select do |part|
              part.work.intersect?(works) && !part.not_work.intersect?(works) &&
                Conditions.met?(part.when, setup.configuration)
            end
          wanted.flat_map { |part| lines(part, setup, torque_lines) }
        end

        private

        def lines(part, setup, torque_lines)
          return single_use(part, setup, torque_lines) if part.count == "per_single_use"

          count = count(part, setup, torque_lines)
          count.zero? ? [] : [line(part, setup, count, "{pads}" => (setup.sides.length * PADS_PER_ROTOR).to_s)]
        end

        def count(part, setup, torque_lines)
          case part.count
          when "set"
            1
          when "per_sensor"
            setup.sensors.length * (setup.configuration["sensor_pads"] == "both" ? PADS_PER_ROTOR : 1)
          when "per_fastener"
            torque_lines.find { |torque| torque.fastener == part.fastener }&.count || setup.sides.length
          else
            setup.sides.length
          end
        end

        def single_use(part, setup, torque_lines)
          torque_lines
            .select { |torque| torque.single_use && !torque.comes_with_pads }
            .map do |torque|
              made = line(part, setup, torque.count, "{fastener}" => torque.label.downcase)
              made.with(id: "#{part.id}.#{torque.fastener}")
            end
        end

        def line(part, setup, count, tokens = {})
          label = tokens.reduce(part.label) { |text, (token, value)| text.sub(token, value) }
          Line.new(
            id: part.id,
            label:,
            count:,
            axle: setup.axle,
            note: part.note,
            optional: part.optional && !(part.must && Conditions.met?(part.must, setup.configuration)),
            kit_lacks: part.kit_lacks,
            lays: part.lays,
            matches: part.matches,
            by_variant: part.by_variant
          )
        end
      end
    end
  end
end
