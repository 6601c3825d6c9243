# frozen_string_literal: true

module Graver
  module Storage
    BinnedDraft = Core::Value.define(:id, :vehicle_id, :content, :recorded_at)
  end
end
