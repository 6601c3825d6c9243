# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # One brake data field (knowledge/brake_data.yml). least, most: bounds in the quantity's base unit; waits: the
      # cost of a gap; find: where to find it; needed_for: what a gap holds up; copy: how far it may be copied; where: {
      # place => [value] } it exists at, nil everywhere
      BrakeDataField =
        Entry.define(
          :key,
          :group,
          :label,
          :quantity,
          :waits,
          :find,
          :needed_for,
          least: nil,
          most: nil,
          copy: nil,
          choices: nil,
          where: nil,
          at_wheel: false,
          first: false,
          scope: nil,
          fastener: nil,
          threads: nil,
          hint: nil
        )
    end
  end
end
