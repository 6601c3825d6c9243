# frozen_string_literal: true

require "digest"
require "exifr/jpeg"
require "fileutils"
require "open3"
require "securerandom"
require "stringio"

module Graver
  module Storage
    # Photo files, in a separate folder beside the household's file, each named by its digest. Before storing, metadata
    # (place, day, device) is removed and the photo is rotated upright: both without loss, by jpegtran of libjpeg-turbo.
    class Pictures
      # digest: hexadecimal; width, height: px
      Kept = Core::Value.define(:digest, :width, :height)
      MOST_PIXELS = 8000
      # Exif's numbers of orientation (CIPA DC-008, table 4, from memory) -> what brings the picture upright
      UPRIGHT = {
        2 => %w[-flip horizontal],
        3 => %w[-rotate 180],
        4 => %w[-flip vertical],
        5 => %w[-transpose],
        6 => %w[-rotate 90],
        7 => %w[-transverse],
        8 => %w[-rotate 270]
      }.freeze
      # -trim: edges that do not fill a block, which cannot be turned without loss. It gets ten seconds, and stands back
      # for what answers.
      BARE = %w[timeout -k 1 10 nice jpegtran -copy none -trim -maxscans 100 -maxmemory 256m].freeze

      # Those beside the household's file.
      def self.of(path) = new(File.join(File.dirname(path), "#{File.basename(path, ".*")}-photos"))

      def initialize(folder)
        @folder = folder
        @working = Mutex.new
      end

      # Paths of all photos here -> [String]
      def files = Dir.glob(File.join(@folder, "*.jpg"))

      # Copies those photos of others that are missing here; a file that is not what its name says is left out.
      # files: [path]
      def take_in(files)
        files.each do |file|
          digest = File.basename(file, ".jpg")
          if !File.exist?(path(digest)) && Digest::SHA256.file(file).hexdigest == digest
            write(digest, File.binread(file))
          end
        end
      end

      # bytes of a JPEG -> Kept, or nil where it cannot be read as one, is too large or takes too long. One at a time:
      # a phone that is refused sends it again. Raises NotSaved.
      def keep(bytes)
        raise NotSaved, Message.of("file.photo_busy") unless @working.try_lock

        begin
          keep_one(bytes)
        ensure
          @working.unlock
        end
      end

      # -> bytes. Raises NotFound where the file is gone.
      def read(digest)
        File.binread(path(digest))
      rescue Errno::ENOENT
        raise NotFound, Message.of("missing.photo")
      end

      private

      def keep_one(bytes)
        given = read_head(bytes) or return
        bare = bare(bytes, given.orientation.to_i) or return
        head = read_head(bare) or return
        digest = Digest::SHA256.hexdigest(bare)
        write(digest, bare)
        Kept.new(digest:, width: head.width, height: head.height)
      rescue SystemCallError => e
        raise NotSaved, Message.of("file.no_photo", because: e.message)
      end

      def path(digest) = File.join(@folder, "#{digest}.jpg")

      def read_head(bytes)
        head = EXIFR::JPEG.new(StringIO.new(bytes))
        head if [head.width, head.height].all? { |side| side.to_i.between?(1, MOST_PIXELS) }
      rescue StandardError
        # whatever a camera, or somebody else, wrote there
        nil
      end

      def bare(bytes, orientation)
        out, _, status = Open3.capture3(*BARE, *UPRIGHT.fetch(orientation, []), stdin_data: bytes, binmode: true)
        out if status.success? && !out.empty?
      end

      # Whole or not at all.
      def write(digest, bytes)
        return if File.exist?(path(digest))

        FileUtils.mkdir_p(@folder, mode: 0o700)
        beside = File.join(@folder, ".#{SecureRandom.hex(8)}.part")
        File.binwrite(beside, bytes, perm: 0o600)
        File.rename(beside, path(digest))
      ensure
        FileUtils.rm_f(beside) if beside
      end
    end
  end
end
