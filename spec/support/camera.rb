# frozen_string_literal: true

require "open3"

# Makes JPEGs as a camera does: what it sees, how it was held, and where it was.
module Camera
  # Left half red, right half blue.
  WIDE = [32, 16].freeze

  module_function

  # orientation: of Exif (CIPA DC-008: tag 0x0112), or nil: the camera notes nothing
  def photo(orientation: nil)
    width, height = WIDE
    row = ([255, 0, 0] * (width / 2)) + ([0, 0, 255] * (width / 2))
    ppm = "P6 #{width} #{height} 255\n".b + (row * height).pack("C*")
    jpeg, = Open3.capture3("cjpeg", "-quality", "95", "-sample", "1x1", stdin_data: ppm, binmode: true)
    orientation ? jpeg[0, 2] + notes(orientation) + jpeg[2..] : jpeg
  end

  # An APP1 segment with its orientation and a place: 1 degree north (tag 0x8825 points at the place's own table).
  def notes(orientation)
    place = table(entry(1, 2, 2, "N\0\0\0"), entry(2, 5, 3, [80].pack("N")))
    first = table(entry(0x0112, 3, 1, [orientation, 0].pack("nn")), entry(0x8825, 4, 1, [38].pack("N")))
    tiff = "MM\0*".b + [8].pack("N") + first + place
    segment("Exif\0\0".b + tiff.ljust(80, "\0") + [1, 1, 0, 1, 0, 1].pack("N*"))
  end

  def segment(body) = "\xFF\xE1".b + [body.bytesize + 2].pack("n") + body
  def table(*entries) = [entries.length].pack("n") + entries.join + [0].pack("N")
  def entry(tag, type, count, value) = [tag, type, count].pack("nnN") + value

  # Colours of a picture's corners, from the top left clockwise: :red or :blue
  def corners(jpeg)
    ppm, = Open3.capture3("djpeg", "-ppm", stdin_data: jpeg, binmode: true)
    width, height = ppm[/\AP6\s+(\d+ \d+)/, 1].split.map(&:to_i)
    pixels = ppm[-(width * height * 3)..].bytes.each_slice(3).to_a
    [[0, 0], [width - 1, 0], [width - 1, height - 1], [0, height - 1]].map do |x, y|
      red, _, blue = pixels[(y * width) + x]
      red > blue ? :red : :blue
    end
  end
end
