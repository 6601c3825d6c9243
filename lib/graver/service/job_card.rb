# frozen_string_literal: true

require_relative "axle_overview"
require_relative "../core/planning/displaced_fluid"
require_relative "../core/planning/parts_list"
require_relative "../core/planning/sequence"
require_relative "../core/planning/torque_card"
require_relative "../core/value"

module Graver
  module Service
    # Everything for new pads on one axle: parts, tools, torque, steps, whether the rotors stay, and what is missing.
    class JobCard
      # steps: [Core::Planning::Sequence::Placed] or nil when the brake data do not allow an order;
      # missing: brake data fields (knowledge entries) this job needs; fluid_ml: what the pistons send back, or nil.
      Card = Core::Value.define(:overview, :procedure, :steps, :torque, :parts, :tools, :drives, :consumables, :missing, :rotor_outcome, :fluid_ml)

      def initialize(context)
        @context = context
        @knowledge = context.knowledge
      end

      # AxleFile -> Card
      def call(file)
        overview = AxleOverview.new(@context).call(file)
        missing = missing(file)
        placed = steps(file)
        torque = placed ? torque(file, placed) : []
        Card.new(overview:, procedure: @knowledge.procedure, steps: placed, torque:, parts: parts(file, torque), tools: tools(placed),
                 drives: torque.filter_map(&:drive).uniq, consumables: consumables(file), missing:,
                 rotor_outcome: rotor_outcome(overview), fluid_ml: fluid_ml(file, overview))
      end

      # The steps alone, without the forecast: [Placed], or nil without the caliper kind (and the parking brake, where
      # there can be one), as no order can be trusted then.
      def steps(file)
        return unless file.caliper && file.parking_brake

        Core::Planning::Sequence.new(@knowledge.procedure).call(configuration(file), file.axle.sides)
      end

      # Sides that carry a wear sensor.
      def self.sensors(file)
        { "left" => ["left"], "right" => ["right"], "both" => file.axle.sides }.fetch(file.choice("wear_sensor"), [])
      end

      private

      def missing(file)
        fields = @knowledge.brake_data.applying(**file.place)
        fields.select { |field| field["needed_for"].include?("job") && !file.data.key?(field["key"]) }
      end

      def configuration(file)
        { "vehicles" => file.vehicle.kind, "axles" => file.axle.name, "calipers" => file.caliper,
          "parking_brakes" => file.parking_brake, "sensors" => self.class.sensors(file) }
      end

      def torque(file, placed)
        Core::Planning::TorqueCard.new.call(placed, caliper: file.caliper, corners: file.axle.sides.length,
                                                    fasteners: @knowledge.fasteners.to_h { |fastener| [fastener["id"], fastener] }, data: file.planning_data)
      end

      def parts(file, torque)
        Core::Planning::PartsList.new.call(@knowledge.parts, caliper: file.caliper, corners: file.axle.sides.length,
                                                             sensors: self.class.sensors(file), torque_lines: torque)
      end

      def tools(placed) = (placed || []).flat_map { |each| each.step.tools }.uniq.map { |id| @knowledge.tools.fetch(id) }

      def consumables(file)
        @knowledge.consumables.select { |each| each["calipers"].nil? || each["calipers"].include?(file.caliper) }
      end

      # Both rotors of an axle are treated alike: the graver verdict is the axle's.
      def rotor_outcome(overview)
        order = @knowledge.rotor_rules.fetch("order")
        overview.rotor_verdicts.values.map(&:outcome).min_by { |outcome| order.index(outcome) }
      end

      def fluid_ml(file, overview)
        diameter, pistons = file.length_mm("caliper.piston_diameter"), file.count("caliper.piston_count")
        return unless diameter && pistons && overview.answer.pads

        new_mm = file.length_mm("pad.new_thickness") or return
        gains = file.axle.sides.map { |side| %w[inner outer].map { |pad| gain(overview, "#{side}_#{pad}", new_mm) } }
        Core::Planning::DisplacedFluid.call(gains:, piston_diameter_mm: diameter, pistons:, opposed: file.opposed?)
      end

      def gain(overview, position, new_mm)
        now = overview.answer.pads.now[position]
        now ? [new_mm - now[:mean_mm], 0].max : 0
      end
    end
  end
end
