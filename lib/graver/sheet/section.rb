# frozen_string_literal: true

module Graver
  module Sheet
    # A corner cut through its brake, to scale, as the screens draw it: plates, friction that is there, what has gone as
    # an empty outline, limits as lines. The left wheel's outer pad is on the left.
    class Section
      COLOURS = {
        plate: "7b878d",
        friction: "b07a2e",
        rotor: "c3ccd0",
        gone: "9aa3a6",
        pad_limit: "a3123f",
        rotor_limit: "3a3fa8",
        ink: "1b2227"
      }.freeze
      # Thickness drawn if it is unknown, mm
      UNKNOWN_ROTOR_MM = 20
      PAD_HEIGHT = 34
      ROTOR_HEIGHT = 46

      # scale: points a millimetre
      def initialize(pdf, scale: 2.6)
        @pdf = pdf
        @scale = scale
      end

      # corner: as the API has it; at: [left, top] in points -> width drawn
      def draw(corner, at)
        @left, @top = at
        order = corner[:side] == "left" ? %i[outer inner] : %i[inner outer]
        first, second = corner.values_at(*order)
        rotor = corner[:rotor]
        rotor_mm = [rotor[:new_mm], rotor[:now_mm]].compact.max || UNKNOWN_ROTOR_MM
        from = first[:backing_mm] + whole(first)
        width = from + rotor_mm + whole(second) + second[:backing_mm]
        draw_rotor(rotor, from, rotor_mm)
        draw_pad(first, first[:backing_mm], 1, order[0])
        draw_pad(second, width - second[:backing_mm], -1, order[1])
        label(corner[:side], 0, width, 16)
        width * @scale
      end

      private

      def whole(pad) = [pad[:new_mm], pad[:now_mm] || 0].max

      def bar(from, to, height, colour, dashed: false)
        left, right = [from, to].minmax.map { |mm| @left + (mm * @scale) }
        return if right - left < 0.1

        corner, size = [left, @top - ((ROTOR_HEIGHT - height) / 2.0)], [right - left, height]
        return outline(corner, size) if dashed

        @pdf.fill_color COLOURS.fetch(colour)
        @pdf.fill_rectangle corner, *size
        @pdf.fill_color COLOURS[:ink]
      end

      def outline(corner, size)
        @pdf.stroke_color COLOURS[:gone]
        @pdf.dash(2)
        @pdf.stroke_rectangle corner, *size
        @pdf.undash
      end

      def line(at_mm, height, colour)
        x, top = @left + (at_mm * @scale), @top - ((ROTOR_HEIGHT - height) / 2.0) + 3
        @pdf.stroke_color COLOURS.fetch(colour)
        @pdf.stroke_line [x, top], [x, top - height - 6]
      end

      def draw_rotor(rotor, from, mm)
        middle = from + (mm / 2.0)
        bar(from, from + mm, ROTOR_HEIGHT, :rotor, dashed: true)
        bar(middle - (rotor[:now_mm] / 2.0), middle + (rotor[:now_mm] / 2.0), ROTOR_HEIGHT, :rotor) if rotor[:now_mm]
        if rotor[:discard_mm]
          [-1, 1].each { |side| line(middle + (side * rotor[:discard_mm] / 2.0), ROTOR_HEIGHT, :rotor_limit) }
        end
        label(
          rotor[:now_mm] ? Say::Lengths.plain(rotor[:now_mm], "rotor", digits: 2) : "?",
          from,
          from + mm,
          -ROTOR_HEIGHT - 4
        )
      end

      def draw_pad(pad, face, facing, name)
        bar(face - (facing * pad[:backing_mm]), face, PAD_HEIGHT, :plate)
        now = pad[:now_mm] || 0
        bar(face, face + (facing * now), PAD_HEIGHT, :friction)
        bar(face + (facing * now), face + (facing * whole(pad)), PAD_HEIGHT, :friction, dashed: true)
        line(face + (facing * pad[:limit_mm]), PAD_HEIGHT, :pad_limit)
        label(
          "#{name} #{pad[:now_mm] ? Say::Lengths.plain(pad[:now_mm], "pad") : "?"}",
          *[face - (facing * pad[:backing_mm]), face + (facing * whole(pad))].minmax,
          5
        )
      end

      def label(text, from, to, above)
        @pdf.text_box text,
                      at: [@left + (from * @scale) - 6, @top + above + 5],
                      width: ((to - from) * @scale) + 12,
                      height: 11,
                      align: :center,
                      size: 8,
                      overflow: :shrink_to_fit
      end
    end
  end
end
