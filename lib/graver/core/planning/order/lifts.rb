# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # How often a vehicle is lifted for a job, and what is in the air each time: one axle after the other, so that the
      # other stands on its wheels; both only if they are bled together.
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

        # [Setup] in working order; begun: [Lift] that stay as they are, as work on them has begun -> [Lift]
        def call(setups, begun: [])
          names = begun.to_h { |lift| [lift.name, lift.corners.map(&:axle).uniq] }
          groups(setups, names).map do |name, group|
            corners = group.flat_map { |setup| corners(setup, name, begun) }
            Lift.new(name:, corners:, bleeding: bleeding(corners))
          end
        end

        # Those that are bled, in their order.
        def bleeding(corners)
          @bleed_order.call(corners.select { |corner| corner.configuration["work"].include?("bleed") })
        end

        private

        # { name of the lift => [Setup] }
        def groups(setups, begun)
          mine, free = setups.partition { |setup| begun.values.flatten.include?(setup.axle) }
          kept = begun.transform_values { |axles| mine.select { |setup| axles.include?(setup.axle) } }
          kept.reject { |_, group| group.empty? }.merge(grouped(free).to_h { |group| [name_of(group), group] })
        end

        def name_of(group) = group.length > 1 ? "both" : group.first.axle

        def grouped(setups)
          bled = setups.select { |setup| setup.configuration["work"].include?("bleed") }
          bike = setups.any? { |setup| setup.configuration["vehicles"] == "motorcycle" }
          bled.length > 1 && !bike ? [setups] : setups.zip
        end

        def corners(setup, lift, begun)
          sides = sides_begun(setup, begun) || sides(setup)
          sides.map do |side|
            sensors = side == "both" ? setup.sensors.any? : setup.sensors.include?(side)
            Corner.new(
              axle: setup.axle,
              side:,
              configuration: setup.configuration.merge("lifts" => lift, "sensors" => sensors)
            )
          end
        end

        def sides(setup)
          setup.sides.length > 1 && Conditions.met?(@joined, setup.configuration) ? ["both"] : setup.sides
        end

        def sides_begun(setup, begun)
          found = begun.flat_map(&:corners).select { |corner| corner.axle == setup.axle }.map(&:side)
          found unless found.empty?
        end
      end
    end
  end
end
