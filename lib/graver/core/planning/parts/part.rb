# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A kind of part a job may take (knowledge/parts.yml). work, not_work: works that ask for it or rule it out;
      # count: how it is counted; matches: { what => { "key", "within_mm" } } against the old one; lays: what hangs
      # on which of it is bought; must: where an optional one is needed anyway
      Part =
        Entry.define(
          :id,
          :label,
          :work,
          :count,
          :note,
          kit_lacks: nil,
          matches: {
          },
          lays: [],
          fastener: nil,
          when: nil,
          optional: false,
          must: nil,
          by_variant: false,
          source: nil,
          not_work: []
        )
    end
  end
end
