# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # When the fluid was renewed, axle by axle: bleeding one axle is not new fluid for the vehicle, and a motorcycle
      # has a reservoir for each.
      class FluidAge
        # Of the circuit that is due first. renewed_on: Date; due_on, overdue_days (negative: still to go); estimated:
        # from an age somebody knew; circuits: [Circuit], one for each axle
        Fluid = Core::Value.define(:renewed_on, :due_on, :overdue_days, :estimated, :circuits)
        # axle: name; renewed_on: Date, or nil if unknown
        Circuit = Core::Value.define(:axle, :renewed_on, :estimated)
        AGE = "fluid_age"

        def initialize(context)
          @months = context.knowledge.limits.dig("fluid_renewal_months", "value")
          @today = context.today
        end

        # Storage::Vehicle, its inspections, oldest first -> Fluid, or nil where nothing is known
        def call(vehicle, inspections)
          circuits = vehicle.axles.map { |axle| circuit(axle, inspections) }
          oldest = circuits.select(&:renewed_on).min_by(&:renewed_on) or return
          due_on = oldest.renewed_on >> @months
          Fluid.new(
            renewed_on: oldest.renewed_on,
            due_on:,
            overdue_days: (@today - due_on).to_i,
            estimated: oldest.estimated,
            circuits:
          )
        end

        private

        def circuit(axle, inspections)
          noted = inspections.select { |inspection| renewed?(inspection, axle) }.map(&:date).max
          Circuit.new(axle: axle.name, renewed_on: noted || by_age(inspections), estimated: noted.nil?)
        end

        # A renewal that names no axle was of all of it.
        def renewed?(inspection, axle)
          inspection.readings.any? do |row|
            row.event == "renewed" && row.part == "fluid" && [nil, axle.id].include?(row.axle_id)
          end
        end

        # The newest age of the fluid that somebody knew, counted back.
        def by_age(inspections)
          inspection = inspections.reverse.find { |each| age(each) } or return
          inspection.date << Core::Quantity::EnteredNumber.parse(age(inspection).value).value.round
        end

        def age(inspection) = inspection.conditions.find { |condition| condition.item == AGE }
      end
    end
  end
end
