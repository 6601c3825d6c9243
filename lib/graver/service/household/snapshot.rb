# frozen_string_literal: true

module Graver
  module Service
    module Household
      # One vehicle's records as of one revision: read once, its entries normalised once, and whatever is made of them
      # computed once. It never changes: a change of the records makes another snapshot.
      class Snapshot
        attr_reader :vehicle, :axles, :inspections, :ahead, :follow_ups

        # axles: [AxleRecord]; inspections: [Storage::Inspection], oldest first; ahead: those dated after the day they
        # were read on, by a wrong clock, which count for nothing; follow_ups: [Storage::FollowUp]
        def initialize(vehicle:, axles:, inspections:, follow_ups:, read_on:, ahead: [])
          @vehicle = vehicle
          @axles = axles.freeze
          @inspections = inspections.freeze
          @ahead = ahead.freeze
          @read_on = read_on
          @follow_ups = follow_ups.freeze
          @computed = {}
        end

        # The block's result, computed once. key: with everything it depends on beside these records (the day, the
        # revision of the vehicle's jobs).
        def once(key) = @computed.fetch(key) { @computed[key] = yield }

        # Whether it holds on a day: what was ahead may have come.
        def on?(day) = ahead.empty? || @read_on == day

        # Whether an axle, by id, is one of the vehicle's.
        def axle?(id) = vehicle.axles.any? { |axle| axle.id == id }

        # Readings, as a measure of the memory it takes.
        def weight = inspections.sum { |inspection| inspection.readings.length } + 1
      end
    end
  end
end
