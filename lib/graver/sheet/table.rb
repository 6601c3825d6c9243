# frozen_string_literal: true

module Graver
  module Sheet
    # A table on paper: the first row is the head and repeats on every page; free columns share the width by their
    # longest text; a row is never split. Lengths in points.
    class Table
      PADDING = 3
      GAP = 7
      # No column is so narrow that a word stands letter by letter, none takes more than its share of a long remark.
      LEAST = 36
      MOST = 190

      # rows: texts; widths: { column => width } of those that are fixed
      def initialize(pdf, rows, widths:, size:, rule:)
        @pdf = pdf
        @rows = rows.map { |row| row.map(&:to_s) }
        @size = size
        @rule = rule
        @widths = widths(widths || {})
      end

      def draw
        head, *body = @rows
        row(head, :bold)
        body.each do |cells|
          height = height(cells, :normal)
          if @pdf.cursor < height
            @pdf.bounds.move_past_bottom
            row(head, :bold)
          end
          row(cells, :normal)
        end
      end

      private

      def widths(fixed)
        open = (0...@rows.first.length).to_a - fixed.keys
        wanted = open.to_h { |at| [at, @rows.map { |row| natural(row[at]) }.max.clamp(LEAST, MOST)] }
        share = (@pdf.bounds.width - fixed.values.sum) / wanted.values.sum.to_f
        (0...@rows.first.length).map { |at| fixed.fetch(at) { wanted[at] * share } }
      end

      def natural(text) = @pdf.width_of(text.to_s, size: @size) + GAP

      def height(cells, style)
        cells
          .each_with_index
          .map { |text, at| text.empty? ? @size : @pdf.height_of(text, width: @widths[at] - GAP, size: @size, style:) }
          .max + (2 * PADDING)
      end

      def row(cells, style)
        top, height, left = @pdf.cursor, height(cells, style), 0
        cells.each_with_index do |text, at|
          unless text.empty?
            @pdf.text_box(text, at: [left, top - PADDING], width: @widths[at] - GAP, height:, size: @size, style:)
          end
          left += @widths[at]
        end
        @pdf.move_cursor_to(top - height)
        @pdf.stroke_color @rule
        @pdf.stroke_horizontal_line 0, @pdf.bounds.width
      end
    end
  end
end
