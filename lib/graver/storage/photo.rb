# frozen_string_literal: true

module Graver
  module Storage
    # A photo on file. job_id, step (its id), key (of the step in that job), inspection_id: where it was taken, nil
    # where not; digest: names its file; day: Date; width, height: px
    Photo =
      Core::Value.define(
        :id,
        :vehicle_id,
        :job_id,
        :inspection_id,
        :step,
        :key,
        :digest,
        :width,
        :height,
        :day,
        :removed
      )
  end
end
