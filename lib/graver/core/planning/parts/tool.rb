# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A tool (knowledge/tools.yml). covers: drives it fits; instead: ids of tools that do it as safely; instruments:
      # methods it serves; by_torque: chosen by the torque card; special: rarely owned
      Tool =
        Entry.define(
          :id,
          :label,
          never: nil,
          by_torque: false,
          instead: [],
          special: false,
          instruments: [],
          note: nil,
          covers: []
        )
    end
  end
end
