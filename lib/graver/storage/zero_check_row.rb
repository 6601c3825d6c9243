# frozen_string_literal: true

module Graver
  module Storage
    ZeroCheckRow = Core::Value.define(:id, :date, :reference, :read, :unit)
  end
end
