# frozen_string_literal: true

module Graver
  module Service
    module Logbook
      # Money spent on a vehicle's brakes, from its finished jobs: by year, by axle and per 1000 km.
      class Costs
        # total: Float; years: { 2026 => Float }; axles: { name => Float }; per_1000_km: Float, or nil where too little
        # was driven to say; over_km: what that is about; unpriced: finished jobs nobody knows the price of
        Spent = Core::Value.define(:vehicle, :total, :years, :axles, :per_1000_km, :over_km, :unpriced)
        # Less says nothing about a cost per distance.
        LEAST_KM = 3000.0

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> [Spent] of all vehicles, archived ones last
        def call = Overview::VehicleOverviews.new(@context).vehicles_ever.map { |vehicle| of_vehicle(vehicle) }

        private

        def of_vehicle(vehicle)
          done = @store.jobs.of(vehicle.axles.map(&:id)).select { |job| job.state == "finished" }
          priced = done.select { |job| Jobs::SpentBefore.of(job) }
          total = priced.sum { |job| Jobs::SpentBefore.of(job) }
          km = driven(vehicle)
          Spent.new(
            vehicle:,
            total:,
            years: years(priced),
            axles: Jobs::SpentBefore.new(vehicle, priced).to_h.fetch(:by_axle),
            per_1000_km: km >= LEAST_KM && total.positive? ? total / km * 1000 : nil,
            over_km: km,
            unpriced: done.length - priced.length
          )
        end

        def years(jobs)
          sums =
            jobs.each_with_object(Hash.new(0.0)) do |job, by|
              by[job.closed["day"][0, 4].to_i] += Jobs::SpentBefore.of(job)
            end
          sums.sort.to_h
        end

        # Between the first and the last odometer on file.
        def driven(vehicle)
          ends = @store.inspections.of_vehicle(vehicle.id).map(&:odometer_km).minmax
          ends.first ? ends.last - ends.first : 0.0
        end
      end
    end
  end
end
