# frozen_string_literal: true

module Graver
  module Sheet
    # Each axle's brake taken apart, its parts numbered and named, and what comes off and goes on as small pictures.
    class BrakePages
      # Points: the picture's height, where there is room for it, and at least.
      APART = 250
      LEAST = 150
      TALL = 220
      # Of the width, for the picture; the names take the rest.
      SHARE = 0.58
      FRAME = 92
      # For its words.
      BELOW = 30
      PER_ROW = 6
      NUMBER = 7

      # paper: Paper; drawings: [{ axle:, apart:, named:, frames: }]; made: what of them was put together before, by
      # identity
      def initialize(paper, drawings, made)
        @paper = paper
        @pdf = paper.pdf
        @drawings = drawings
        @made = made
      end

      def draw = @drawings.each { |drawing| axle(drawing) }

      private

      def axle(drawing)
        below = (drawing[:frames].length / PER_ROW.to_f).ceil * (FRAME + BELOW)
        title = Say::Texts.t("sheet.taken_apart", axle: drawing[:axle].capitalize)
        @paper.heading(title, room: LEAST + below + 40)
        top = @pdf.cursor - 4
        # What comes off and goes on stays on its page.
        high = (top - below - 10).clamp(LEAST, APART)
        apart(drawing, top, high)
        @pdf.move_cursor_to top - high - 6
        frames(drawing[:frames])
      end

      def apart(drawing, top, high)
        spots = draw_at([0, top], drawing[:apart], [@pdf.bounds.width * SHARE, high])
        named = drawing[:named].select { |_, id, _| spots[id] }
        @pdf.fill_color "ffffff"
        named.each { |number, id, _| number_at(number, spots[id], high) }
        @pdf.fill_color Brush::COLOURS[:ink]
        names(named, top, high)
      end

      def draw_at(at, picture, room)
        (@made[picture] ||= BrakeDrawing.new(picture, room)).draw(@pdf, at)
      end

      def number_at(number, (across, up), high)
        radius = high < TALL ? NUMBER - 2 : NUMBER
        @pdf.fill_and_stroke_circle [across, up], radius - 1
        @pdf.fill_color Brush::COLOURS[:ink]
        @pdf.text_box number.to_s,
                      at: [across - radius, up + (radius / 2.0)],
                      width: 2 * radius,
                      height: radius + 2,
                      align: :center,
                      size: radius
        @pdf.fill_color "ffffff"
      end

      # In two columns where the picture is low.
      def names(named, top, high)
        left = (@pdf.bounds.width * SHARE) + 12
        columns = high < TALL && named.length > 8 ? 2 : 1
        width = (@pdf.bounds.width - left) / columns
        named
          .each_slice((named.length / columns.to_f).ceil)
          .with_index do |some, column|
            @pdf.text_box some.map { |number, _, label| "#{number}  #{label}" }.join("\n"),
                          at: [left + (column * width), top],
                          width: width - 4,
                          height: high,
                          size: 9,
                          leading: 2,
                          overflow: :shrink_to_fit
          end
      end

      def frames(frames)
        frames.each_slice(PER_ROW) do |row|
          @pdf.start_new_page if @pdf.cursor < FRAME + BELOW
          top = @pdf.cursor
          row.each_with_index { |frame, at| frame(frame, at * @pdf.bounds.width / PER_ROW, top) }
          @pdf.move_cursor_to top - FRAME - BELOW
        end
      end

      def frame(frame, left, top)
        width = (@pdf.bounds.width / PER_ROW) - 6
        draw_at([left, top], frame[:picture], [width, FRAME])
        said = [["sheet.comes_off", frame[:off]], ["sheet.goes_on", frame[:on]]]
        said =
          said
            .reject { |_, parts| parts.empty? }
            .map { |key, parts| Say::Texts.t(key, parts: parts.join(", ").downcase) }
        @pdf.text_box said.join(" "), at: [left, top - FRAME - 3], width:, height: 24, size: 7, overflow: :shrink_to_fit
      end
    end
  end
end
