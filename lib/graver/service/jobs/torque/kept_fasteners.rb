# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Fastener data as they were when a job was finished: its torque card stays the same, whatever is entered later.
      class KeptFasteners
        def initialize(knowledge)
          @ids = knowledge.fasteners.map(&:id)
        end

        # JobPlan::Plan -> { axle id => { key => [value, unit, source] } }
        def entry(plan)
          plan.scope.axles.to_h do |axle|
            data = fasteners(axle.file.data).transform_values { |datum| [datum.value, datum.unit, datum.source] }
            [axle.file.axle.id.to_s, data]
          end
        end

        # [AxleRecord] -> the same, with the fasteners the job was finished with. An open job, and one finished before
        # they were stored, has today's.
        def records(job, files)
          kept = job&.closed&.fetch("fasteners", nil) or return files
          files.map { |file| kept.key?(file.axle.id.to_s) ? with(file, kept.fetch(file.axle.id.to_s)) : file }
        end

        private

        def with(file, kept)
          then_known =
            kept.to_h do |key, (value, unit, source)|
              [key, Storage::BrakeDatum.new(key:, value:, unit:, source:, recorded_at: nil)]
            end
          file.with_data({ **fasteners(file.data).transform_values { nil }, **then_known }, sources: {})
        end

        def fasteners(data) = data.select { |key, _| @ids.include?(key[/\A[a-z_0-9]+/]) }
      end
    end
  end
end
