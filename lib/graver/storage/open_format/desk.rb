# frozen_string_literal: true

module Graver
  module Storage
    module OpenFormat
      # Where files of the open format are made and looked at: in a folder that is gone afterwards.
      class Desk
        # backups: Backups; pictures: Pictures
        def initialize(backups, pictures)
          @backups = backups
          @pictures = pictures
        end

        # The bytes of the zip (Package), part by part -> Enumerator
        def package(document)
          Enumerator.new do |parts|
            @backups.apart do |folder|
              path = File.join(folder, "household.zip")
              Package.write(path, document, @pictures.files)
              FileParts.each(path) { |part| parts << part }
            end
          end
        end

        # write: callable that writes a file to the IO it is given. The block gets it as a GivenFile.
        def look_at(write)
          @backups.apart do |folder|
            path = File.join(folder, "given")
            File.open(path, "wb", Sqlite::PRIVATE_FILE, &write)
            yield GivenFile.new(path, folder)
          end
        end
      end
    end
  end
end
