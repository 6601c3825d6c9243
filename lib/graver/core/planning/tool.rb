# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A tool (knowledge/tools.yml). covers: drives it fits; instead: ids that do as safely; instruments: ways of
      # reading whose measuring tool it is; by_torque: chosen by the torque card; special: rarely owned
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
