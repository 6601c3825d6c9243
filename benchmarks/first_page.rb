# frozen_string_literal: true

require "stringio"
require "zlib"

module Benchmarks
  # Bytes of the first page over the wire: what the garage loads before any chart. Text is gzipped, fonts are sent as
  # they are.
  class FirstPage
    AIM_BYTES = 130_000
    DIST = File.expand_path("../web/dist", __dir__)

    def total_bytes = files.sum { |file| bytes(file) }

    def print_to(out)
      sizes =
        files
          .group_by { |file| File.extname(file).delete(".") }
          .transform_values { |kind| kind.sum { |file| bytes(file) } }
      total = total_bytes
      out.puts format(
                 "first page: %d bytes (%s), %.2f of the aim of %d",
                 total,
                 sizes.map { |kind, size| "#{kind} #{size}" }.join(", "),
                 total.to_f / AIM_BYTES,
                 AIM_BYTES
               )
    end

    private

    # Files that index.html names, modules these import at once, and the fonts their styles name for Latin letters: a
    # browser fetches the others when a page has one of their characters.
    def files
      @files ||=
        begin
          page = File.join(DIST, "index.html")
          named = assets(page, %r{(?:src|href)="/assets/([^"]+)"})
          imported = named.grep(/\.js\z/).flat_map { |file| assets(file, %r{(?:from|import)\s*"\./([^"]+\.js)"}) }
          fonts = named.grep(/\.css\z/).flat_map { |file| fonts(file) }
          [page, *named, *imported, *fonts].uniq
        end
    end

    def fonts(file)
      faces = File.read(file).scan(/@font-face\s*{[^}]*}/).grep(/unicode-range:\s*U\+0*20-/i)
      faces.map { |face| File.join(DIST, "assets", File.basename(face[/url\("?([^")]+\.woff2)/, 1])) }
    end

    def assets(file, pattern)
      File.read(file).scan(pattern).flatten.map { |name| File.join(DIST, "assets", File.basename(name)) }
    end

    def bytes(file)
      return File.size(file) if file.end_with?(".woff2", ".woff")

      buffer = StringIO.new
      Zlib::GzipWriter.wrap(buffer) { |gzip| gzip.write(File.binread(file)) }
      buffer.string.bytesize
    end
  end
end
