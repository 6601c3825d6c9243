# frozen_string_literal: true

module Graver
  module Storage
    Draft = Core::Value.define(:content, :revision, :recorded_at)
  end
end
