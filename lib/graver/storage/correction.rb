# frozen_string_literal: true

module Graver
  module Storage
    # change: { field => value now } or { "void" => true }; reading_id and condition_id nil: of the inspection itself.
    Correction = Core::Value.define(:id, :inspection_id, :reading_id, :condition_id, :change, :reason, :recorded_at)
  end
end
