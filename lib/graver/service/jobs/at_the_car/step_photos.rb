# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Photos taken at the steps of a job, those shown again at a later step, and those of an earlier job of the
      # vehicle.
      class StepPhotos
        # own, shown, earlier: [Storage::Photo]
        Here = Core::Value.define(:own, :shown, :earlier)
        # of an earlier job at one step
        MOST_EARLIER = 4

        # photos: [Storage::Photo] of the vehicle; job: Storage::Job or nil; placed: [Core::Planning::PlannedStep] of
        # all steps
        def initialize(photos, job, placed)
          mine, @others = photos.select(&:job_id).partition { |photo| job && photo.job_id == job.id }
          @mine = mine.group_by(&:key)
          @keys = placed.group_by { |each| [each.step.id, each.axle, each.side] }
        end

        # Core::Planning::PlannedStep -> Here
        def call(placed)
          shown = placed.step.shows.flat_map { |id| keys(id, placed) }.uniq - [placed.key]
          Here.new(
            own: @mine.fetch(placed.key, []),
            shown: shown.flat_map { |key| @mine.fetch(key, []) },
            earlier: @others.select { |photo| photo.key == placed.key }.last(MOST_EARLIER)
          )
        end

        private

        # Of that step at the same corner.
        def keys(id, placed) = @keys.fetch([id, placed.axle, placed.side], []).map(&:key)
      end
    end
  end
end
