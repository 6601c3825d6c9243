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
        # axle: name; renewed_on: Date or nil: nobody knows
        Circuit = Core::Value.define(:axle, :renewed_on, :estimated)
        AGE = "fluid_age"

        def initialize(context)
          @months = context.knowledge.limits.dig("fluid_renewal_months", "value")
          @today = context.today
        end

        # Storage::Vehicle, its look-overs, oldest first -> Fluid, or nil where nothing is known
        def call(vehicle, look_overs)
          circuits = vehicle.axles.map { |axle| circuit(axle, look_overs) }
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

        def circuit(axle, look_overs)
          noted = look_overs.select { |look_over| renewed?(look_over, axle) }.map(&:date).max
          Circuit.new(axle: axle.name, renewed_on: noted || by_age(look_overs), estimated: noted.nil?)
        end

        # A renewal that names no axle was of all of it.
        def renewed?(look_over, axle)
          look_over.readings.any? do |row|
            row.event == "renewed" && row.part == "fluid" && [nil, axle.id].include?(row.axle_id)
          end
        end

        # The newest age of the fluid that somebody knew, counted back.
        def by_age(look_overs)
          look_over = look_overs.reverse.find { |each| age(each) } or return
          look_over.date << Core::Quantity::EnteredNumber.parse(age(look_over).value).value.round
        end

        def age(look_over) = look_over.conditions.find { |condition| condition.item == AGE }
      end
    end
  end
end
