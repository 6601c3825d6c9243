# frozen_string_literal: true

module Graver
  module Storage
    # content: the file's text; mapping, result: Hashes or nil; state: "uploaded", "done" or "undone".
    Import = Core::Value.define(:id, :vehicle_id, :name, :digest, :mapping, :result, :state, :recorded_at)
  end
end
