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

        def now = @now.call
        def wanted(given) = given.slice(*now.keys)
        def label(name) = @label.call(name)
      end
    end
  end
end
