# frozen_string_literal: true

module Graver
  module Service
    module Base
      # What OptimisticLock needs from a changeable thing: its present fields, the requested ones, their names.
      class VersionedFields
        # now: callable -> { name => value }; label: callable, name -> in words
        def initialize(now, label)
          @now = now
          @label = label
        end

        # -> { field => value } as it is now
        def now = @now.call
        # given: what a window sends -> of it the fields that are versioned
        def wanted(given) = given.slice(*now.keys)
        # -> the field in words
        def label(name) = @label.call(name)
      end
    end
  end
end
