# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # How often a vehicle is lifted for a job, and what is in the air each time: one axle after the other, so that the
      # other stands; both together only where they are bled in one go.
      class Lifts
        # An axle of the job: configuration as in Conditions.met? but for "lifts" and "sensors"; sensors: sides with
        # one.
        Setup = Value.define(:axle, :sides, :configuration, :sensors)

        # joined: conditions under which the two discs of a wheel are one corner; bleed_order: callable ([Corner]) ->
        # [Corner].
        def initialize(joined:, bleed_order:)
          @joined = joined
          @bleed_order = bleed_order
        end

        # [Setup] in working order -> [Lift]
        def call(setups)
          groups(setups).map do |group|
            name = group.length > 1 ? "both" : group.first.axle
            corners = group.flat_map { |setup| corners(setup, name) }
            Lift.new(
              name:,
              corners:,
              bleeding: @bleed_order.call(corners.select { |corner| corner.configuration["work"].include?("bleed") })
            )
          end
        end

        private

        def groups(setups)
          bled = setups.select { |setup| setup.configuration["work"].include?("bleed") }
          bike = setups.any? { |setup| setup.configuration["vehicles"] == "motorcycle" }
          bled.length > 1 && !bike ? [setups] : setups.zip
        end

        def corners(setup, lift)
          sides = setup.sides.length > 1 && Conditions.met?(@joined, setup.configuration) ? ["both"] : setup.sides
          sides.map do |side|
            sensors = side == "both" ? setup.sensors.any? : setup.sensors.include?(side)
            Corner.new(
              axle: setup.axle,
              side:,
              configuration: setup.configuration.merge("lifts" => lift, "sensors" => sensors)
            )
          end
        end
      end
    end
  end
end
