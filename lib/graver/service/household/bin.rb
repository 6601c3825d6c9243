# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Archived things that can be restored: vehicles, cancelled jobs, half-entered inspections that were started over.
      class Bin
        # vehicles: [Storage::Vehicle]; jobs: [[Storage::Job, Storage::Vehicle]]; drafts: [[Storage::BinnedDraft,
        # Storage::Vehicle]]
        Contents = Core::Value.define(:vehicles, :jobs, :drafts)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # What can be restored: archived vehicles, cancelled jobs, discarded drafts.
        def contents
          vehicles = @store.vehicles.all(archived: true) + @store.vehicles.all
          jobs =
            vehicles.flat_map do |vehicle|
              @store
                .jobs
                .of(vehicle.axles.map(&:id))
                .select { |job| job.state == "cancelled" }
                .map { |job| [job, vehicle] }
            end
          drafts =
            @store.drafts.binned.filter_map do |draft|
              (vehicle = vehicles.find { |each| each.id == draft.vehicle_id }) && [draft, vehicle]
            end
          Contents.new(vehicles: vehicles.select(&:archived), jobs:, drafts:)
        end

        # Restores a draft; a draft in its place goes to the bin. -> vehicle id. Raises NotFound.
        def restore_draft(id)
          @store.transaction do
            draft = @store.drafts.find_binned(id)
            @store.drafts.bin(draft.vehicle_id, at: @context.now)
            @store.drafts.restore(draft, at: @context.now)
            draft.vehicle_id
          end
        end
      end
    end
  end
end
