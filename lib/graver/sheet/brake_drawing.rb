# frozen_string_literal: true

module Graver
  module Sheet
    # A brake in three dimensions on paper, painted from the furthest shape to the nearest, in greys; what it is about
    # is in colour.
    class BrakeDrawing
      COLOURS = {
        "pale" => "d9dee0",
        "hub" => "cbd1d4",
        "plain" => "cbd1d4",
        "rotor" => "b5bdc2",
        "caliper" => "b0b8ba",
        "bracket" => "9ba6a6",
        "piston" => "dfe3e5",
        "plate" => "7f8a90",
        "friction" => "b58a56",
        "bolt" => "c0c8d2",
        "spring" => "a5afb8",
        "rubber" => "6c757a",
        "pipe" => "c09a6c",
        "cable" => "7a869c",
        "hook" => "6c757a",
        "wheel" => "6c757a",
        "groove" => "59636a",
        "heat" => "6b79ad",
        "rust" => "a06a42"
      }.freeze
      NOW = "3b97a3"
      # How much lighter than its colour a face in full light is, and how much darker one in the shade.
      LIGHTER = 0.3
      DARKER = 0.3

      LINE = 0.4
      LINE_NOW = 0.7

      # picture: as the API gives it; room: [width, height] in points it may take
      def initialize(picture, room)
        @picture = picture
        @scale = [room[0] / picture.width, room[1] / picture.height].min
        @margin = (room[0] - (picture.width * @scale)) / 2
      end

      # pdf: Prawn::Document; at: [left, top] in points -> { part id => [x, y] of its middle on the page }
      def draw(pdf, at)
        across, up = pdf.bounds.absolute_left + at[0] + @margin, pdf.bounds.absolute_bottom + at[1]
        pdf.add_content("q 1 0 0 1 #{figure(across)} #{figure(up)} cm 1 j 1 J\n#{content}\nQ")
        @picture.spots.transform_values { |right, down| [at[0] + @margin + (right * @scale), at[1] - (down * @scale)] }
      end

      private

      # What is painted, from its upper left corner; put together once, as a sheet is set more than once.
      def content = @content ||= @picture.shapes.map { |shape| painted(shape) }.join("\n")

      def painted(shape)
        colour = shape.now ? NOW : COLOURS.fetch(shape.stuff)
        faces =
          shape.faces.map do |outline, hole, light|
            # Stroked in its own colour, too, so that no paper shows between two faces.
            loops = [outline, hole].compact.map { |points| path(points) }
            "#{inks(shade(colour, light))} #{loops.join(" ")} #{hole ? "f*" : "b"}"
          end
        edges = shape.lines.map { |from, to| "#{spot(from)} m #{spot(to)} l" }.join(" ")
        "#{LINE} w #{faces.join("\n")}\n#{shape.now ? LINE_NOW : LINE} w #{inks(Brush::COLOURS[:ink])} #{edges} S"
      end

      def path(points) = "#{spot(points.first)} m #{points.drop(1).map { |point| "#{spot(point)} l" }.join(" ")} h"
      def spot((right, down)) = "#{figure(right * @scale)} #{figure(-down * @scale)}"
      def figure(value) = format("%.2f", value)

      # Fill and stroke
      def inks(colour)
        parts = colour.scan(/../).map { |each| figure(each.to_i(16) / 255.0) }.join(" ")
        "#{parts} rg #{parts} RG"
      end

      def shade(colour, light)
        share = light < 0.5 ? (light - 0.5) * 2 * DARKER : (light - 0.5) * 2 * LIGHTER
        colour
          .scan(/../)
          .map { |each| each.to_i(16) }
          .map { |each| share.negative? ? each * (1 + share) : each + ((255 - each) * share) }
          .map { |each| format("%02x", each.round.clamp(0, 255)) }
          .join
      end
    end
  end
end
