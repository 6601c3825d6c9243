# frozen_string_literal: true

module Graver
  module Storage
    # Numbers as entered, in `unit`; checks: [ZeroCheckRow], oldest first.
    Instrument =
      Core::Value.define(:id, :name, :method, :unit, :least, :most, :resolution, :uncertainty, :retired, :checks)
  end
end
