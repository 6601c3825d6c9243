# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Backups of the household. Only this machine itself restores one, or takes the data away.
      class Backups < Resource
        ARCHIVE = "application/x-tar"
        LARGEST_BYTES = 16 * 1024 * 1024 * 1024
        get "/backups", :backups
        post "/backups", :make_backup, 201
        post "/backups/archives", :add_backup, 201
        post "/backups/encrypted-copies", :encrypt_backup
        get "/backups/:name", :backup_archive
        post "/backups/:name/restore", :restore_backup
        repeatable :make_backup, :add_backup, :restore_backup
        withhold :backups, :backup_archive

        def backups
          here = @exchange.local?
          backups = copies.all.map { |copy| Serializers::Backups.call(copy) }
          { backups:, may_restore: here, folder: (copies.folder if here) }
        end

        def make_backup
          copies.make
          backups
        end

        def add_backup
          here do
            copies.take_in(passphrase: @exchange.passphrase) do |out|
              @exchange.each_part(LARGEST_BYTES) { |part| out.write(part) }
            end
            backups
          end
        end

        def encrypt_backup
          here do
            Download.new(
              type: "application/zip",
              body: copies.encrypted(payload(Contracts::EncryptedCopy)[:passphrase]),
              disposition: %(attachment; filename="graver-#{context.today}-encrypted.zip")
            )
          end
        end

        def backup_archive
          here do
            name = params["name"]
            Download.new(
              type: ARCHIVE,
              body: copies.archive(name),
              disposition: %(attachment; filename="graver-#{name}")
            )
          end
        end

        def restore_backup
          here do
            copies.restore(params["name"])
            backups
          end
        end

        private

        def copies = Service::Household::Copies.new(context)
      end
    end
  end
end
