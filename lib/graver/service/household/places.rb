# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The household's vehicles as places to go: their axles, drafts and open jobs.
      class Places
        # vehicle: Storage::Vehicle; check: when an inspection that is half entered was last gone on with, or nil; job:
        # Storage::Job under way, or nil
        Place = Core::Value.define(:vehicle, :check, :job)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> [Place], by their age
        def all
          @store.vehicles.all.map do |vehicle|
            Place.new(
              vehicle:,
              check: @store.drafts.find(vehicle.id)&.recorded_at,
              job: @store.jobs.of(vehicle.axles.map(&:id)).find { |job| job.state == "in_progress" }
            )
          end
        end
      end
    end
  end
end
