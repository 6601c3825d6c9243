# frozen_string_literal: true

module Graver
  module Service
    module Logbook
      # The photos of inspections and jobs, as far as they were not removed.
      class PhotosTaken
        def initialize(context)
          @context = context
        end

        # ids of vehicles -> { ["inspection" or "job", its id] => [Storage::Photo] }, oldest first
        def call(vehicle_ids)
          vehicle_ids
            .flat_map { |id| @context.store.photos.of_vehicle(id) }
            .group_by { |photo| photo.inspection_id ? ["inspection", photo.inspection_id] : ["job", photo.job_id] }
        end
      end
    end
  end
end
