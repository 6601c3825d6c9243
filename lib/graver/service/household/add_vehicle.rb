# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A new vehicle with its two axles.
      class AddVehicle
        BOTH = %w[left right].freeze

        def initialize(context)
          @context = context
        end

        # given: { name:, kind:, drive: "combustion" and distance_unit: "km" unless given, discs: { front:, rear: } },
        # checked by its contract;
        # sample: is all of it made up? -> Storage::Vehicle
        def call(given, sample: false)
          discs = given.fetch(:discs, {})
          axles = %w[front rear].map { |name| { name:, sides: sides(given[:kind], discs[name.to_sym]) } }
          @context.store.transaction do
            @context.store.vehicles.add(
              name: given[:name].strip,
              kind: given[:kind],
              drive: given.fetch(:drive, "combustion"),
              distance_unit: given.fetch(:distance_unit, "km"),
              axles:,
              sample:,
              at: @context.now
            )
          end
        end

        private

        # A motorcycle's wheel has one disc or two; a single one is taken to sit on the left.
        def sides(kind, discs) = kind == "motorcycle" && (discs || 1) == 1 ? ["left"] : BOTH
      end
    end
  end
end
