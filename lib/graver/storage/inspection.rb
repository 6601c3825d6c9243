# frozen_string_literal: true

module Graver
  module Storage
    # void: it does not count any more; job_id: the job it was written by, or nil; corrections: [Correction] of the
    # inspection itself, oldest first; done_by: name of who entered it, or nil.
    Inspection =
      Core::Value.define(
        :id,
        :vehicle_id,
        :date,
        :odometer_value,
        :odometer_unit,
        :odometer_km,
        :note,
        :void,
        :import_id,
        :job_id,
        :done_by,
        :readings,
        :conditions,
        :corrections
      )
  end
end
