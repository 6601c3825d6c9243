# frozen_string_literal: true

require_relative "axle_overview"
require_relative "fluid_card"
require_relative "torque_wrenches"
require_relative "../core/planning/parts_list"
require_relative "../core/planning/sequence"
require_relative "../core/planning/torque_card"
require_relative "../core/value"

module Graver
  module Service
    # Everything for new pads on one axle: parts, tools, torque, steps, whether the rotors stay, and what is missing.
    class JobCard
      # steps: [Core::Planning::Sequence::Placed] or nil when the brake data do not allow an order;
      # wrenches: { fastener id => Core::Planning::WrenchChoice::Setting, Borrow or nil };
      # missing: brake data fields (knowledge entries) this job needs; fluid_ml: what the pistons send back, or nil.
      Card = Core::Value.define(:overview, :procedure, :steps, :torque, :wrenches, :parts, :tools, :drives, :consumables, :missing, :rotor_outcome, :fluid_ml)

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
        Card.new(overview:, procedure: @knowledge.procedure, steps: placed, torque:, wrenches: wrenches(torque), parts: parts(file, torque), tools: tools(placed),
                 drives: torque.filter_map(&:drive).uniq, consumables: consumables(file), missing:,
                 rotor_outcome: overview.rotor_plan.outcome, fluid_ml: FluidCard.new(@knowledge).pushed_ml(overview))
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

      def wrenches(torque)
        owned = TorqueWrenches.new(@context)
        torque.to_h { |line| [line.fastener, owned.choose(line.torque)] }
      end

      def parts(file, torque)
        Core::Planning::PartsList.new.call(@knowledge.parts, caliper: file.caliper, corners: file.axle.sides.length,
                                                             sensors: self.class.sensors(file), torque_lines: torque)
      end

      def tools(placed) = (placed || []).flat_map { |each| each.step.tools }.uniq.map { |id| @knowledge.tools.fetch(id) }

      def consumables(file)
        @knowledge.consumables.select { |each| each["calipers"].nil? || each["calipers"].include?(file.caliper) }
      end
    end
  end
end
