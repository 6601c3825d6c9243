# frozen_string_literal: true

require "json"

module Graver
  module Storage
    module OpenFormat
      # A file of the open format from elsewhere: one JSON document, or a zip (Package).
      class GivenFile
        # line: of the file it stands in, or nil; place: "vehicles.0.name", or "tables/vehicles.csv:2"
        Fault = Core::Value.define(:line, :place, :text)
        ZIP = "PK\x03\x04".b
        LARGEST_BYTES = 256 * 1024 * 1024

        # document: Hash, or nil where it isn't one; faults: [Fault]
        attr_reader :document, :faults

        # path: of the file; folder: for its photos and the household made from it
        def initialize(path, folder)
          @folder = folder
          @faults = []
          @document = File.binread(path, ZIP.bytesize) == ZIP ? packed(path) : parsed(text(path))
          @faults = found if @document && @faults.empty?
        rescue FileRefused => e
          @faults = [Fault.new(line: nil, place: "", text: e.message)]
        end

        # -> [path of a photo]
        def photos = Dir.glob(File.join(@folder, "*.jpg"))

        # Builds a household's file of its own from it -> path
        def fill(path = File.join(@folder, "household.sqlite3"))
          database = Sqlite.connect(path)
          Sqlite.migrate(database)
          Filled.new(database).call(@document)
          database.run("PRAGMA wal_checkpoint(TRUNCATE)")
          path
        ensure
          database&.disconnect
        end

        private

        def text(path)
          raise FileRefused, Message.of("exchange.too_large") if File.size(path) > LARGEST_BYTES

          File.read(path, encoding: Encoding::UTF_8).scrub
        end

        def packed(path)
          texts = Package.read(path, @folder)
          return parsed(texts[Package::DOCUMENT]) if texts.key?(Package::DOCUMENT)

          reading = ReadTables.new
          tables = texts.transform_keys { |name| File.basename(name) }
          reading.call(tables, { "format" => Written::NAME, "written_at" => "" }).tap { @places = reading.places }
        end

        def parsed(text)
          @text = text
          JSON.parse(text)
        rescue JSON::ParserError => e
          line = e.message[/line (\d+)/, 1]
          @faults = [Fault.new(line: line&.to_i, place: "", text: Message.of("exchange.no_json").to_s)]
          nil
        end

        def found
          @document.is_a?(Hash) or return [Fault.new(line: 1, place: "", text: Message.of("exchange.no_json").to_s)]

          Checked
            .new(@document)
            .faults
            .map do |fault|
              keys = fault.place.split(".")
              Fault.new(line: line(keys), place: in_table(keys) || fault.place, text: fault.text.to_s)
            end
        end

        # JSON is YAML, whose parser knows its lines.
        def line(keys)
          return if @places

          @root ||= Psych.parse(@text).root
          keys.reduce(@root) { |node, key| step(node, key) || node }.start_line + 1
        end

        def step(node, key)
          return node.children[key.to_i] if node.sequence?

          node.children.each_slice(2).find { |name, _| name.value == key }&.last if node.mapping?
        end

        # The line of the table a row came from.
        def in_table(keys)
          return unless @places

          row = @document
          keys.each { |key| row = inner(row, key) || break }
          last = keys.last
          [@places[row.is_a?(Hash) ? row : @row], (last unless row.is_a?(Hash))].compact.join(": ") if @row || row
        end

        def inner(row, key)
          @row = row if row.is_a?(Hash)
          row.is_a?(Array) ? row[key.to_i] : row[key]
        end
      end
    end
  end
end
