# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The changes a tick makes to a job.
      module JobProgress
        module_function

        # Service::Jobs::JobProgress::Progress
        def call(progress)
          job = progress.job
          {
            id: job.id,
            state: job.state,
            ticked: job.ticked,
            ticked_by: job.ticked_by,
            waits_for: progress.waits.reject { |_, keys| keys.empty? },
            deviations: job.deviations.transform_values { |said| said["because"] },
            halted: progress.halted,
            planned: job.basis&.fetch("event"),
            torques: Torques.call(job)
          }
        end
      end
    end
  end
end
