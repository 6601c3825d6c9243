# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A new vehicle with its axles: two, of a trailer one to three.
      class AddVehicle
        BOTH = %w[left right].freeze
        TRAILER_AXLES = { 1 => %w[single], 2 => %w[front rear], 3 => %w[front middle rear] }.freeze
        TRAILER_BRAKES = %w[drum_overrun drum_electric].freeze

        def initialize(context)
          @context = context
        end

        # given: { name:, kind:, drive: "combustion" and distance_unit: "km" unless given, discs: { front:, rear: } and
        # disc_sides: { front:, rear: } of single ones of a motorcycle, axles: 1 to 3 and brakes: of a trailer },
        # checked by its contract; sample: is all of it made up? -> Storage::Vehicle
        def call(given, sample: false)
          @context.store.transaction { add(given, sample).tap { |vehicle| brake(vehicle, given) } }
        end

        private

        def add(given, sample)
          axles = names(given).map { |name| { name:, sides: sides(given, name.to_sym) } }
          @context.store.vehicles.add(
            name: given[:name].strip,
            kind: given[:kind],
            drive: trailer?(given) ? "combustion" : given.fetch(:drive, "combustion"),
            distance_unit: given.fetch(:distance_unit, "km"),
            axles:,
            sample:,
            at: @context.now
          )
        end

        def trailer?(given) = given[:kind] == "trailer"
        def names(given) = TRAILER_AXLES.fetch(trailer?(given) ? given.fetch(:axles, 1) : 2)

        # All axles of a trailer have the same brakes.
        def brake(vehicle, given)
          return unless trailer?(given)

          value = given.fetch(:brakes, TRAILER_BRAKES.first)
          entry = { key: "caliper.kind", value:, unit: nil, source: "measured", chosen: false }
          vehicle.axles.each { |axle| @context.store.brake_data.add(axle.id, [entry], at: @context.now) }
        end

        # A motorcycle's wheel has one disc, on one side, or two.
        def sides(given, wheel)
          return BOTH unless given[:kind] == "motorcycle" && given.fetch(:discs, {}).fetch(wheel, 1) == 1

          [given.fetch(:disc_sides, {}).fetch(wheel, BOTH.first)]
        end
      end
    end
  end
end
