# frozen_string_literal: true

module Graver
  module Sheet
    # Each axle's brake taken apart, its parts numbered and named, and what comes off and goes on as small pictures.
    class BrakePages
      APART = 250
      # Of the width, for the picture; the names take the rest.
      SHARE = 0.58
      FRAME = 92
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
        @paper.heading(Say::Texts.t("sheet.taken_apart", axle: drawing[:axle].capitalize), room: APART + 40)
        top = @pdf.cursor - 4
        spots = draw_at([0, top], drawing[:apart], [@pdf.bounds.width * SHARE, APART])
        drawing[:named].each { |number, id, _| number_at(number, spots[id]) if spots[id] }
        names(drawing[:named].select { |_, id, _| spots[id] }, top)
        @pdf.move_cursor_to top - APART - 6
        frames(drawing[:frames])
      end

      def draw_at(at, picture, room)
        (@made[picture] ||= BrakeDrawing.new(picture, room)).draw(@pdf, at)
      end

      def number_at(number, (across, up))
        @pdf.fill_color "ffffff"
        @pdf.fill_and_stroke_circle [across, up], NUMBER - 1
        @pdf.fill_color Brush::COLOURS[:ink]
        @pdf.text_box number.to_s,
                      at: [across - NUMBER, up + 3.5],
                      width: 2 * NUMBER,
                      height: 9,
                      align: :center,
                      size: 7
      end

      def names(named, top)
        left = (@pdf.bounds.width * SHARE) + 12
        text = named.map { |number, _, label| "#{number}  #{label}" }.join("\n")
        @pdf.text_box text,
                      at: [left, top],
                      width: @pdf.bounds.width - left,
                      height: APART,
                      size: 9,
                      leading: 2,
                      overflow: :shrink_to_fit
      end

      def frames(frames)
        frames.each_slice(PER_ROW) do |row|
          @pdf.start_new_page if @pdf.cursor < FRAME + 34
          top = @pdf.cursor
          row.each_with_index { |frame, at| frame(frame, at * @pdf.bounds.width / PER_ROW, top) }
          @pdf.move_cursor_to top - FRAME - 30
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
