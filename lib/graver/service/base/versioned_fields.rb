# frozen_string_literal: true

module Graver
  module Service
    module Base
      # What OptimisticLock asks of a thing that can be changed: its fields as they stand, what is asked of them, their
      # names.
      class VersionedFields
        # now: callable -> { name => value }; label: callable, name -> in words
        def initialize(now, label)
          @now = now
          @label = label
        end

        def now = @now.call
        def wanted(given) = given.slice(*now.keys)
        def label(name) = @label.call(name)
      end
    end
  end
end
