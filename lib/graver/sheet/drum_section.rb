# frozen_string_literal: true

module Graver
  module Sheet
    # A corner cut level through its drum brake, to scale but for the middle, which is left out: drum wall, lining and
    # shoe, twice. As seen from outside the wheel: the leading shoe points to the front of the vehicle.
    class DrumSection
      # Points a millimetre: linings are thin
      SCALE = 4.2
      # Drawn of the drum's wall, and between the two shoes, mm
      WALL_MM = 7
      MIDDLE_MM = 10
      PAD_HEIGHT = Brush::PAD_HEIGHT
      ROTOR_HEIGHT = Brush::ROTOR_HEIGHT

      def initialize(pdf) = @pdf = pdf

      # corner: as the API has it; at: [left, top] in points -> width drawn
      def draw(corner, at)
        @brush = Brush.new(@pdf, SCALE, at)
        first, second = corner[:side] == "left" ? corner[:pads] : corner[:pads].reverse
        width = (2 * WALL_MM) + MIDDLE_MM + [first, second].sum { |pad| whole(pad) + pad[:backing_mm] }
        half(first, ->(mm) { mm }, corner[:drum])
        half(second, ->(mm) { width - mm }, corner[:drum])
        @brush.label(diameter(corner[:drum]), 0, width, -ROTOR_HEIGHT - 4)
        @brush.label(corner[:side], 0, width, 16)
        width * SCALE
      end

      private

      def whole(pad) = [pad[:new_mm], pad[:now_mm] || 0].max

      # One shoe and the wall it rubs on; at: a distance in mm from the edge of the picture inwards -> place
      def half(pad, at, drum)
        wall(drum, at)
        shoe(pad, at)
        said = pad[:now_mm] ? Say::Lengths.plain(pad[:now_mm], "pad") : "?"
        @brush.label("#{pad[:label]} #{said}", *[at[0], at[WALL_MM + whole(pad) + pad[:backing_mm]]].minmax, 5)
      end

      def shoe(pad, at)
        table, now = WALL_MM + whole(pad), pad[:now_mm] || 0
        @brush.bar(at[table], at[table + pad[:backing_mm]], PAD_HEIGHT, :plate)
        @brush.bar(at[table - now], at[table], PAD_HEIGHT, :friction)
        @brush.bar(at[WALL_MM], at[table - now], PAD_HEIGHT, :friction, dashed: true)
        @brush.line(at[table - pad[:limit_mm]], PAD_HEIGHT, :pad_limit)
      end

      # What has worn off a wall, and what may, are half the difference of diameters.
      def wall(drum, at)
        worn = beyond(drum, :now_mm) || 0
        @brush.bar(at[0], at[WALL_MM - worn], ROTOR_HEIGHT, :rotor, dashed: drum[:now_mm].nil?)
        @brush.bar(at[WALL_MM - worn], at[WALL_MM], ROTOR_HEIGHT, :rotor, dashed: true)
        limit = beyond(drum, :maximum_mm) or return
        @brush.line(at[WALL_MM - limit], ROTOR_HEIGHT, :rotor_limit)
      end

      def beyond(drum, what)
        wide, new_mm = drum.values_at(what, :new_mm)
        wide && new_mm && [(wide - new_mm) / 2.0, 0].max
      end

      def diameter(drum)
        "Ø #{drum[:now_mm] ? Say::Lengths.plain(drum[:now_mm], "rotor", digits: 2) : "?"}"
      end
    end
  end
end
