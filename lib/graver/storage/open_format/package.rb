# frozen_string_literal: true

require "json"
require "zip"

module Graver
  module Storage
    module OpenFormat
      # A household in one zip file to carry to other programs: the document, the same as tables, and the photos.
      #
      #   household.json
      #   tables/vehicles.csv, ...
      #   photos/DIGEST.jpg
      module Package
        DOCUMENT = "household.json"
        TABLE = %r{\Atables/[a-z_]+\.csv\z}
        PHOTO = %r{\Aphotos/[0-9a-f]{64}\.jpg\z}
        MOST_FILES = 50_000
        LARGEST_TEXT_BYTES = 256 * 1024 * 1024
        LARGEST_PHOTO_BYTES = 32 * 1024 * 1024
        ALL_PHOTOS_BYTES = 8 * 1024 * 1024 * 1024

        module_function

        # document: Hash; photos: [path of DIGEST.jpg]; path: of the zip, which is not there yet
        def write(path, document, photos)
          Zip::File.open(path, create: true) do |zip|
            add(zip, DOCUMENT, JSON.pretty_generate(document))
            Tables.call(document).each { |name, text| add(zip, "tables/#{name}", text) }
            photos.each { |file| zip.add("photos/#{File.basename(file)}", file) }
          end
        end

        # -> { name => text } of document and tables; the photos are written into the folder. Raises FileRefused.
        def read(path, folder)
          Zip::File.open(path) do |zip|
            refuse("exchange.too_large") if zip.size > MOST_FILES
            entries = zip.entries.reject(&:directory?)
            strange = entries.map(&:name).reject { |name| name == DOCUMENT || TABLE.match?(name) || PHOTO.match?(name) }
            refuse("exchange.strange_file", name: strange.first) if strange.any?

            photos, texts = entries.partition { |entry| PHOTO.match?(entry.name) }
            unpack_all(photos, folder)
            texts.to_h { |entry| [entry.name, text(entry)] }
          end
        rescue Zip::Error, Zlib::Error
          refuse("exchange.no_zip")
        end

        def add(zip, name, text) = zip.get_output_stream(name) { |out| out.write(text) }

        def unpack_all(photos, folder)
          photos.reduce(0) do |sofar, entry|
            refuse("exchange.too_large") if sofar > ALL_PHOTOS_BYTES
            sofar + unpack(entry, folder)
          end
        end

        # -> bytes written
        def unpack(entry, folder)
          path = File.join(folder, File.basename(entry.name))
          File.binwrite(path, part(entry, LARGEST_PHOTO_BYTES), perm: Sqlite::PRIVATE_FILE)
        end

        def text(entry) = part(entry, LARGEST_TEXT_BYTES).force_encoding(Encoding::UTF_8).scrub

        # What a small file may swell to is bounded.
        def part(entry, most)
          bytes = entry.get_input_stream { |stream| stream.read(most + 1) } || "".b
          refuse("exchange.too_large") if bytes.bytesize > most
          bytes
        end

        def refuse(text, **tokens) = raise(FileRefused, Message.of(text, **tokens))
        private_class_method :add, :unpack_all, :unpack, :text, :part, :refuse
      end
    end
  end
end
