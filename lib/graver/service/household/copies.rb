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
        # Takes in an archive, which the block writes -> its name. passphrase: of an encrypted copy. Raises FileRefused,
        # InvalidEntry, NotSaved.
        def take_in(passphrase: nil, &block) = @backups.take_in(passphrase:, &block)
        # -> Enumerator of a new, encrypted copy's bytes. Raises InvalidEntry, NotSaved.
        def encrypted(passphrase) = @backups.encrypted(passphrase)
        # -> what `each` gives an archive's bytes by, part by part. Raises NotFound.
        def archive(name) = @backups.archive_parts(name)
        # Raises NotFound, FileRefused, NotSaved.
        def restore(name) = @backups.restore(name)
      end
    end
  end
end
