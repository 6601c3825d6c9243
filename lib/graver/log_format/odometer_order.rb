# frozen_string_literal: true

require "set"

module Graver
  module LogFormat
    # Finds the entries whose odometer cannot be true: the fewest that must be left out so that the rest never runs
    # back.
    module OdometerOrder
      module_function

      # [Entry] -> [Set of kept (by identity), [strays]]. Longest non-falling run by patience sorting, n log n.
      def split(entries)
        ordered = entries.sort_by { |entry| [entry.date, entry.odometer_km] }
        ends = []
        before = {}.compare_by_identity
        ordered.each do |entry|
          at = ends.bsearch_index { |last| last.odometer_km > entry.odometer_km } || ends.length
          before[entry] = at.positive? ? ends[at - 1] : nil
          ends[at] = entry
        end
        kept = chain(ends.last, before)
        [kept, ordered.reject { |entry| kept.include?(entry) }]
      end

      def chain(entry, before)
        kept = Set.new.compare_by_identity
        while entry
          kept << entry
          entry = before[entry]
        end
        kept
      end
    end
  end
end
