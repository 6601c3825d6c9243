# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # What lies in the bin.
      class Bin
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Household::Bin::Contents
        def call(contents)
          {
            vehicles: contents.vehicles.map { |vehicle| vehicle.to_h.slice(:id, :name, :kind) },
            jobs: contents.jobs.map { |job, vehicle| job(job, vehicle) },
            drafts:
              contents.drafts.map do |draft, vehicle|
                { id: draft.id, vehicle: vehicle.name, vehicle_id: vehicle.id, recorded_at: draft.recorded_at }
              end
          }
        end

        private

        def job(job, vehicle)
          { id: job.id, vehicle: vehicle.name, what: Service::Jobs::JobTitle.of_job(@knowledge, job, vehicle.axles) }
        end
      end
    end
  end
end
