# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Backups of the whole household: list, make and restore.
      class Copies
        def initialize(context)
          @backups = context.store.backups
        end

        # -> path of the folder they are kept in
        def folder = @backups.folder
        # The newest first -> [Storage::Backups::Copy]
        def all = @backups.all
        # -> Storage::Backups::Copy. Raises NotSaved.
        def make = @backups.make("by-hand")
        # Takes in an archive, which the block writes -> its name. Raises FileRefused, NotSaved.
        def take_in(&block) = @backups.take_in(&block)
        # -> what `each` gives an archive's bytes by, part by part. Raises NotFound.
        def archive(name) = @backups.archive_parts(name)
        # Raises NotFound, FileRefused, NotSaved.
        def restore(name) = @backups.restore(name)
      end
    end
  end
end
