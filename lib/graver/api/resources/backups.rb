# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Copies of the household's file.
      class Backups < Resource
        get "/backups", :backups
        post "/backups", :make_backup, 201
        post "/backups/:name/restore", :restore_backup
        repeatable :make_backup, :restore_backup

        def backups = { backups: copies.all.map { |copy| Serializers::Backups.call(copy) } }

        def make_backup
          copies.make
          backups
        end

        def restore_backup
          copies.restore(params["name"])
          backups
        end

        private

        def copies = Service::Household::Copies.new(context)
      end
    end
  end
end
