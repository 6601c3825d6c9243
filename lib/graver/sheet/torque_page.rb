# frozen_string_literal: true

module Graver
  module Sheet
    # The torque card: figures that read at two metres, a page of its own.
    class TorquePage
      HEIGHT = 84
      # Points of type: 54 pt capitals stand 13 mm high.
      FIGURE = 54
      NUT = 8

      def initialize(paper)
        @paper = paper
        @pdf = paper.pdf
      end

      # lines: torque lines as the API has them
      def draw(lines, several:)
        return if lines.empty?

        @pdf.start_new_page
        @paper.heading("Torque")
        lines.each { |line| row(line, several) }
      end

      private

      def row(line, several)
        @pdf.start_new_page if @pdf.cursor < HEIGHT + 10
        top = @pdf.cursor
        star = line[:star] ? 80 : 0
        name(line, several, top, @paper.width - 290 - star)
        figures(line, top, @paper.width - 290 - star)
        draw_star(line[:star], [@paper.width - 36, top - 42]) if line[:star]
        @pdf.move_cursor_to top - HEIGHT
        @pdf.stroke_horizontal_rule
        @pdf.move_down 6
      end

      def name(line, several, top, width)
        text = several ? "#{line[:axle].capitalize} #{line[:label].downcase}" : line[:label]
        @pdf.text_box text, at: [0, top], width:, height: 20, size: 15, style: :bold, overflow: :shrink_to_fit
        wrench = line[:wrench]
        below = [
          Texts.say("torque.count", count: line[:count] || "?", drive: line[:drive] || Texts.say("torque.no_size")) +
            (line[:single_use] ? Texts.say("torque.renewed") : ""),
          line[:range] && Texts.say("torque.anywhere", range: line[:range]),
          set(wrench),
          line[:doubt]
        ].compact.join("\n")
        @pdf.text_box below, at: [0, top - 21], width:, height: HEIGHT - 26, size: 9, overflow: :shrink_to_fit
      end

      def set(wrench)
        return unless wrench
        return wrench[:sentence] unless wrench[:wrench]

        Texts.say("torque.set", setting: wrench[:setting].to_f, unit: wrench[:unit], wrench: wrench[:wrench]) +
          (wrench[:overdue] ? Texts.say("torque.overdue") : "")
      end

      def figures(line, top, left)
        text = Texts.say(line[:snug] ? "torque.snug" : "torque.no_value")
        unless line[:newton_metres]
          return @pdf.text_box(text, at: [left, top - 20], width: 290, height: 50, size: 16, style: :bold)
        end

        @pdf.text_box format("%g", line[:newton_metres]),
                      at: [left, top + 2],
                      width: 130,
                      height: 66,
                      size: FIGURE,
                      style: :bold,
                      align: :right,
                      overflow: :shrink_to_fit
        @pdf.text_box "N·m", at: [left + 134, top - 34], width: 40, height: 18, size: 14
        @pdf.text_box "#{format("%g", line[:pound_feet])} lbf·ft",
                      at: [left + 172, top - 12],
                      width: 112,
                      height: 30,
                      size: 22,
                      align: :right,
                      overflow: :shrink_to_fit
        @pdf.text_box "#{format("%g", line[:pound_inches])} lbf·in",
                      at: [left + 172, top - 38],
                      width: 112,
                      height: 18,
                      size: 12,
                      align: :right,
                      overflow: :shrink_to_fit
        return unless line[:angle_degrees]
        @pdf.text_box "then #{format("%g", line[:angle_degrees])}° further",
                      at: [left + 60, top - 60],
                      width: 224,
                      height: 24,
                      size: 18,
                      style: :bold,
                      align: :right
      end

      # Nuts round the wheel, numbered in the order they are tightened.
      def draw_star(order, centre)
        @pdf.stroke_color Paper::LINE
        @pdf.stroke_circle centre, 38
        places = order.each_with_index.map { |nut, turn| [place(nut, order.length, centre), turn + 1] }
        places.map(&:first).each_cons(2) { |one, other| @pdf.stroke_line one, other }
        places.each { |at, turn| nut(at, turn) }
        @pdf.stroke_color Paper::LINE
      end

      def place(nut, count, centre)
        angle = (Math::PI / 2) - ((nut - 1) * 2 * Math::PI / count)
        [centre[0] + (27 * Math.cos(angle)), centre[1] + (27 * Math.sin(angle))]
      end

      def nut(at, turn)
        @pdf.fill_color "ffffff"
        @pdf.stroke_color Paper::INK
        @pdf.fill_and_stroke_circle at, NUT
        @pdf.fill_color Paper::INK
        @pdf.text_box turn.to_s,
                      at: [at[0] - NUT, at[1] + 6],
                      width: NUT * 2,
                      height: 12,
                      align: :center,
                      size: 10,
                      style: :bold
      end
    end
  end
end
