# frozen_string_literal: true

module Graver
  module Storage
    # change: { field => value now } or { "void" => true }; reading_id and condition_id nil: of the inspection itself;
    # zero_check_id: of the check that made it, or nil; done_by: name of who made it, or nil.
    Correction =
      Core::Value.define(
        :id,
        :inspection_id,
        :reading_id,
        :condition_id,
        :zero_check_id,
        :change,
        :reason,
        :recorded_at,
        :done_by
      )
  end
end
