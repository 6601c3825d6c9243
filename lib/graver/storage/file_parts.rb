# frozen_string_literal: true

module Graver
  module Storage
    # A file's bytes, part by part: none of the large ones is ever whole in memory.
    module FileParts
      PART_BYTES = 1024 * 1024

      module_function

      # Gives each part to the block.
      def each(path)
        File.open(path, "rb") { |file| yield file.read(PART_BYTES) until file.eof? }
      end
    end
  end
end
