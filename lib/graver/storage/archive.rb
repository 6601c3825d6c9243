# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"
require "rubygems/package"

module Graver
  module Storage
    # Everything of a household in one file, to carry away: a tar of its database, its photos and their sums. It holds
    # no passphrase and no sign-ins: they belong to the machine.
    #
    #   manifest.json        { "format": 1, "files": { name: { "bytes": 1, "sha256": "..." } } }
    #   household.sqlite3
    #   photos/DIGEST.jpg
    module Archive
      FORMAT = 1
      MANIFEST = "manifest.json"
      DATABASE = "household.sqlite3"
      PHOTO = %r{\Aphotos/[0-9a-f]{64}\.jpg\z}
      LARGEST_MANIFEST_BYTES = 16 * 1024 * 1024
      # What is in its way, in the tar or in the manifest.
      BROKEN = [Gem::Package::Error, JSON::ParserError, KeyError, TypeError, NoMethodError, EOFError].freeze

      module_function

      # path: a file that is not there yet; database: a file; photos: [a file named DIGEST.jpg]
      def write(path, database:, photos:)
        files = { DATABASE => database, **photos.to_h { |file| ["photos/#{File.basename(file)}", file] } }
        manifest = JSON.generate(format: FORMAT, files: files.transform_values { |file| sum(file) })
        File.open(path, "wb", Sqlite::PRIVATE_FILE) do |out|
          tar = Gem::Package::TarWriter.new(out)
          tar.add_file_simple(MANIFEST, 0o600, manifest.bytesize) { |entry| entry.write(manifest) }
          files.each { |name, file| add(tar, name, file) }
          tar.close
          out.fsync
        end
      end

      # Unpacks it into an empty folder. Raises FileRefused where it is not whole, or holds anything else.
      def unpack(path, folder)
        FileUtils.mkdir_p(File.join(folder, "photos"), mode: Sqlite::PRIVATE_FOLDER)
        File.open(path, "rb") do |from|
          Gem::Package::TarReader.new(from) { |tar| read(tar, path) { |entry| save(entry, folder) } }
        end
      rescue *BROKEN
        refuse(path)
      end

      # Reads all of it. Raises FileRefused as unpack does.
      def check(path)
        File.open(path, "rb") do |from|
          Gem::Package::TarReader.new(from) { |tar| read(tar, path) { |entry| sum_of(entry) } }
        end
      rescue *BROKEN
        refuse(path)
      end

      # The block takes an entry and returns what sum does.
      def read(tar, path)
        listed = nil
        tar.each do |entry|
          next listed = manifest(entry, path) unless listed

          name = entry.full_name
          refuse(path) unless (name == DATABASE || PHOTO.match?(name)) && listed.delete(name) == yield(entry)
        end
        refuse(path) unless listed && listed.empty?
      end

      def manifest(entry, path)
        refuse(path) unless entry.full_name == MANIFEST && entry.header.size <= LARGEST_MANIFEST_BYTES
        found = JSON.parse(entry.read)
        refuse(path) unless found.fetch("format") == FORMAT && found.fetch("files").key?(DATABASE)
        found.fetch("files")
      end

      def add(tar, name, file)
        tar.add_file_simple(name, 0o600, File.size(file)) do |entry|
          File.open(file, "rb") { |from| IO.copy_stream(from, entry) }
        end
      end

      def save(entry, folder)
        path = File.join(folder, entry.full_name)
        File.open(path, "wb", Sqlite::PRIVATE_FILE) { |out| each_part(entry) { |part| out.write(part) } }
        sum(path)
      end

      def sum(file) = { "bytes" => File.size(file), "sha256" => Digest::SHA256.file(file).hexdigest }

      def sum_of(entry)
        digest = Digest::SHA256.new
        each_part(entry) { |part| digest << part }
        { "bytes" => entry.header.size, "sha256" => digest.hexdigest }
      end

      def each_part(entry)
        while (part = entry.read(1 << 20))
          yield part
        end
      end

      def refuse(path) = raise(FileRefused, Message.of("file.archive_damaged", path:))
      private_class_method :read, :manifest, :add, :save, :sum, :sum_of, :each_part, :refuse
    end
  end
end
