# frozen_string_literal: true

module Graver
  module Sheet
    # The torque card: figures that read at two metres, one under the other, as large as the room allows.
    class TorqueCard
      HEIGHT = 84
      # Points of type: 54 pt capitals stand 13 mm high.
      FIGURE = 54
      NUT = 8
      LEAST_SIZE = 8
      # Few rows are set larger.
      LARGEST = 1.4
      STAR = 80
      # [which unit, text, points from the left, points down, [width, height], size, style] of the large figures; the
      # unit the owner entered comes first
      FIGURES = [
        [0, "%g", 0, -2, [130, 66], FIGURE, { style: :bold, align: :right }],
        [0, "%{unit}", 134, 34, [40, 18], 14, {}],
        [1, "%g %{unit}", 172, 12, [112, 30], 22, { align: :right }],
        [2, "%g %{unit}", 172, 38, [112, 18], 12, { align: :right }]
      ].freeze
      ANGLE = [60, 58, [224, 24], 18, { style: :bold, align: :right }].freeze

      def initialize(paper)
        @paper = paper
        @pdf = paper.pdf
      end

      # lines: torque lines as the API has them; room: points there are for all of them
      def draw(lines, several:, room:)
        @scale = [room / lines.length / HEIGHT, LARGEST].min
        # Figures stand in one column, whether there is a star beside them or not.
        @left = @paper.width - 290 - (lines.any? { |line| line[:star] } ? [at(STAR), STAR].max : 0)
        lines.each { |line| row(line, several) }
      end

      private

      def at(points) = points * @scale

      def row(line, several)
        top = @pdf.cursor
        name(line, several, top, @left)
        figures(line, top, @left)
        draw_star(line[:star], [@paper.width - at(40), top - at(42)]) if line[:star]
        @pdf.move_cursor_to top - at(HEIGHT) + 6
        @pdf.stroke_horizontal_line 0, @paper.width
        @pdf.move_down 6
      end

      def name(line, several, top, width)
        text = several ? "#{line[:axle].capitalize} #{line[:label].downcase}" : line[:label]
        box(text, [0, top], [width, 20], 15, style: :bold)
        box(below(line).join("\n"), [0, top - at(21)], [width, HEIGHT - 28], 9)
      end

      def below(line)
        count =
          Say::Texts.t(
            "torque.count",
            count: line[:count] || "?",
            drive: line[:drive] || Say::Texts.t("torque.no_size")
          )
        [
          [count, (Say::Texts.t("torque.new_ones") if line[:single_use])].compact.join(", "),
          line[:range] && Say::Texts.t("torque.anywhere", range: line[:range]),
          set(line[:wrench]),
          line[:doubt]
        ].compact
      end

      def set(wrench)
        return unless wrench
        return wrench[:sentence] unless wrench[:wrench]

        said = { setting: wrench[:setting].to_f, unit: wrench[:unit], wrench: wrench[:wrench] }
        Say::Texts.t(wrench[:overdue] ? "torque.set_overdue" : "torque.set", **said)
      end

      def figures(line, top, left)
        text = Say::Texts.t(line[:snug] ? "torque.snug" : "torque.no_value")
        return box(text, [left, top - at(20)], [290, 50], 16, style: :bold) unless line[:newton_metres]

        torques = Say::Formats.torques(line)
        FIGURES.each do |place, written, right, down, room, size, how|
          figure, unit = torques[place]
          text = written.sub("%g", format("%g", figure)).sub("%{unit}", unit)
          box(text, [left + right, top - at(down)], room, size, **how)
        end
        angle(line[:angle_degrees], top, left) if line[:angle_degrees]
      end

      def angle(degrees, top, left)
        right, down, room, size, how = ANGLE
        box(Say::Texts.t("torque.then_angle", degrees: degrees.to_f), [left + right, top - at(down)], room, size, **how)
      end

      # room: [width, height]; height and size: points where there is room for every row in full
      def box(text, place, (width, height), size, **how)
        @pdf.text_box(
          text,
          at: place,
          width:,
          height: at(height),
          size: [at(size), LEAST_SIZE].max,
          overflow: :shrink_to_fit,
          min_font_size: LEAST_SIZE - 2,
          **how
        )
      end

      # Nuts round the wheel, numbered in the order they are tightened.
      def draw_star(order, centre)
        @pdf.stroke_color Paper::LINE
        @pdf.stroke_circle centre, at(38)
        places = order.each_with_index.map { |nut, turn| [place(nut, order.length, centre), turn + 1] }
        places.map(&:first).each_cons(2) { |one, other| @pdf.stroke_line one, other }
        places.each { |nut, turn| nut(nut, turn) }
        @pdf.stroke_color Paper::LINE
      end

      def place(nut, count, centre)
        angle = (Math::PI / 2) - ((nut - 1) * 2 * Math::PI / count)
        [centre[0] + (at(27) * Math.cos(angle)), centre[1] + (at(27) * Math.sin(angle))]
      end

      def nut(centre, turn)
        @pdf.fill_color "ffffff"
        @pdf.stroke_color Paper::INK
        @pdf.fill_and_stroke_circle centre, at(NUT)
        @pdf.fill_color Paper::INK
        @pdf.text_box turn.to_s,
                      at: [centre[0] - at(NUT), centre[1] + at(6)],
                      width: at(NUT * 2),
                      height: at(12),
                      align: :center,
                      size: at(10),
                      style: :bold
      end
    end
  end
end
