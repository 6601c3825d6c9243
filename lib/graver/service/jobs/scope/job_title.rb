# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A job in a few words: "Front: new pads, new rotors. Rear: new fluid".
      module JobTitle
        module_function

        # works: { axle name => [work id] }
        def call(knowledge, works)
          works
            .reject { |_, ids| ids.empty? }
            .map do |axle, ids|
              AxleName.tells(axle, ids.map { |id| Typography.inside(knowledge.work(id).label) }.join(", "))
            end
            .join(". ")
        end

        # A job on file, with the axles of its vehicle.
        def of_job(knowledge, job, axles)
          names = axles.to_h { |axle| [axle.id, axle.name] }
          call(knowledge, job.works.transform_keys { |id| names.fetch(id) })
        end
      end
    end
  end
end
