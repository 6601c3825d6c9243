# frozen_string_literal: true

module Graver
  module Sheet
    # A corner cut through its disc brake, to scale, as the screens draw it: plates, friction that is there, what has
    # gone as an empty outline, limits as lines. The left wheel's outer pad is on the left.
    class Section
      # Usual points a millimetre
      SCALE = 2.6
      # Thickness drawn if it is unknown, mm
      UNKNOWN_ROTOR_MM = 20
      PAD_HEIGHT = Brush::PAD_HEIGHT
      ROTOR_HEIGHT = Brush::ROTOR_HEIGHT

      # scale: points a millimetre
      def initialize(pdf, scale: SCALE)
        @pdf = pdf
        @scale = scale
      end

      # corner: as the API has it; at: [left, top] in points -> width drawn
      def draw(corner, at)
        @brush = Brush.new(@pdf, @scale, at)
        first, second = corner[:side] == "left" ? corner[:pads].reverse : corner[:pads]
        rotor = corner[:rotor]
        rotor_mm = [rotor[:new_mm], rotor[:now_mm]].compact.max || UNKNOWN_ROTOR_MM
        from = first[:backing_mm] + whole(first)
        width = from + rotor_mm + whole(second) + second[:backing_mm]
        draw_rotor(rotor, from, rotor_mm)
        draw_pad(first, first[:backing_mm], 1)
        draw_pad(second, width - second[:backing_mm], -1)
        @brush.label(corner[:side], 0, width, 16)
        width * @scale
      end

      private

      def whole(pad) = [pad[:new_mm], pad[:now_mm] || 0].max

      def draw_rotor(rotor, from, mm)
        middle = from + (mm / 2.0)
        around = ->(size) { [middle - (size / 2.0), middle + (size / 2.0)] }
        @brush.bar(from, from + mm, ROTOR_HEIGHT, :rotor, dashed: true)
        @brush.bar(*around[rotor[:now_mm]], ROTOR_HEIGHT, :rotor) if rotor[:now_mm]
        around[rotor[:discard_mm]].each { |at| @brush.line(at, ROTOR_HEIGHT, :rotor_limit) } if rotor[:discard_mm]
        said = rotor[:now_mm] ? Say::Lengths.plain(rotor[:now_mm], "rotor", digits: 2) : "?"
        @brush.label(said, from, from + mm, -ROTOR_HEIGHT - 4)
      end

      def draw_pad(pad, face, facing)
        at = ->(mm) { face + (facing * mm) }
        now = pad[:now_mm] || 0
        @brush.bar(at[-pad[:backing_mm]], face, PAD_HEIGHT, :plate)
        @brush.bar(face, at[now], PAD_HEIGHT, :friction)
        @brush.bar(at[now], at[whole(pad)], PAD_HEIGHT, :friction, dashed: true)
        @brush.line(at[pad[:limit_mm]], PAD_HEIGHT, :pad_limit)
        said = pad[:now_mm] ? Say::Lengths.plain(pad[:now_mm], "pad") : "?"
        @brush.label("#{pad[:label]} #{said}", *[at[-pad[:backing_mm]], at[whole(pad)]].minmax, 5)
      end
    end
  end
end
