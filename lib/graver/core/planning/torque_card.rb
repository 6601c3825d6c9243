# frozen_string_literal: true

require_relative "../value"
require_relative "star_order"
require_relative "torque"

module Graver
  module Core
    module Planning
      # Every fastener a job touches, with its count, its torque in both units and what is doubtful about it.
      class TorqueCard
        # torque: Torque or nil when not known; doubt as in Torque#doubt; star: nut numbers or nil; key: brake data key
        Line = Value.define(:fastener, :label, :count, :torque, :source, :doubt, :plausible, :drive, :single_use, :star, :note)

        # placed: [Sequence::Placed]; fasteners: knowledge entries by id; data: { key => { value:, unit:, source:, number: } }.
        def call(placed, caliper:, corners:, fasteners:, data:)
          placed.flat_map { |each| each.step.tighten }.uniq.map do |id|
            line(fasteners.fetch(id), caliper, corners, data)
          end
        end

        private

        def line(fastener, caliper, corners, data)
          id = fastener.fetch("id")
          known = data["#{id}.torque"]
          torque = known && Torque.from(known.fetch(:number), known.fetch(:unit))
          count = count(fastener, caliper, data)
          Line.new(fastener: id, label: fastener.fetch("label"), count: count && (count * corners), torque:, source: known&.fetch(:source),
                   doubt: torque&.doubt(*fastener.fetch("plausible_newton_metres")), plausible: fastener.fetch("plausible_newton_metres"),
                   drive: data.dig("#{id}.drive", :value), single_use: data.dig("#{id}.single_use", :value) == "once",
                   star: fastener["counted_by"] && count && StarOrder.call(count), note: fastener.fetch("note"))
        end

        # Per corner: fixed by the caliper kind, or counted by the owner.
        def count(fastener, caliper, data)
          counted = fastener["counted_by"]
          counted ? data.dig(counted, :number)&.value&.to_i : fastener.fetch("per_corner").fetch(caliper)
        end
      end
    end
  end
end
