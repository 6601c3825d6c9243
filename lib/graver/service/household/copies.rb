# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Backups of the whole household: list, make and restore.
      class Copies
        def initialize(context)
          @backups = context.store.backups
        end

        # The newest first -> [Storage::Backups::Copy]
        def all = @backups.all
        # -> Storage::Backups::Copy. Raises NotSaved.
        def make = @backups.make("by-hand")
        # Raises NotFound, FileRefused, NotSaved.
        def restore(name) = @backups.restore(name)
      end
    end
  end
end
