# frozen_string_literal: true

module Graver
  module Sheet
    # Draws what a section is made of, to one scale: bars, limits and their figures.
    class Brush
      COLOURS = {
        plate: "7b878d",
        friction: "b07a2e",
        rotor: "c3ccd0",
        gone: "9aa3a6",
        pad_limit: "a3123f",
        rotor_limit: "3a3fa8",
        ink: "1b2227"
      }.freeze
      PAD_HEIGHT = 34
      ROTOR_HEIGHT = 46

      # scale: points a millimetre; at: [left, top] in points
      def initialize(pdf, scale, at)
        @pdf = pdf
        @scale = scale
        @left, @top = at
      end

      # Between two places in mm; colour: of COLOURS
      def bar(from, to, height, colour, dashed: false)
        left, right = [from, to].minmax.map { |mm| @left + (mm * @scale) }
        return if right - left < 0.1

        corner, size = [left, @top - ((ROTOR_HEIGHT - height) / 2.0)], [right - left, height]
        return outline(corner, size) if dashed

        @pdf.fill_color COLOURS.fetch(colour)
        @pdf.fill_rectangle corner, *size
        @pdf.fill_color COLOURS[:ink]
      end

      # A limit at a place in mm
      def line(at_mm, height, colour)
        x, top = @left + (at_mm * @scale), @top - ((ROTOR_HEIGHT - height) / 2.0) + 3
        @pdf.stroke_color COLOURS.fetch(colour)
        @pdf.stroke_line [x, top], [x, top - height - 6]
      end

      # Between two places in mm, so many points above the picture
      def label(text, from, to, above)
        @pdf.text_box text,
                      at: [@left + (from * @scale) - 6, @top + above + 5],
                      width: ((to - from) * @scale) + 12,
                      height: 11,
                      align: :center,
                      size: 8,
                      overflow: :shrink_to_fit
      end

      private

      def outline(corner, size)
        @pdf.stroke_color COLOURS[:gone]
        @pdf.dash(2)
        @pdf.stroke_rectangle corner, *size
        @pdf.undash
      end
    end
  end
end
