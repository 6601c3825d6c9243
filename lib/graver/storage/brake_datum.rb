# frozen_string_literal: true

module Graver
  module Storage
    # The newest entry of one key, as entered.
    BrakeDatum = Core::Value.define(:key, :value, :unit, :source, :recorded_at)
  end
end
