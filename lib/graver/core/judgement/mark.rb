# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A mark an inspected item can have (knowledge/conditions.yml); marks of one group exclude each other. gone_after:
      # the part that has to be inspected on every axle before a symptom counts as gone, or nil; moves: how a pin or a
      # piston moves ("free", "stiff", "seized"), or nil; vehicles: kinds that can have it, or nil: all; source: id in
      # knowledge/sources.yml, or nil: the file's
      Mark =
        Entry.define(
          :id,
          :label,
          group: nil,
          good: false,
          severity: nil,
          caution: nil,
          gone_after: nil,
          moves: nil,
          vehicles: nil,
          source: nil
        )
    end
  end
end
