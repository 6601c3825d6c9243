# frozen_string_literal: true

require "prawn"

module Graver
  module Sheet
    # A sheet of paper: fonts that ship with the app, margins, headings, boxes to tick. Lengths in points.
    class Paper
      SIZES = { "a4" => "A4", "letter" => "LETTER" }.freeze
      FONTS = File.expand_path("fonts", __dir__).freeze
      FACES = {
        normal: "#{FONTS}/BarlowSemiCondensed-Regular.ttf",
        bold: "#{FONTS}/BarlowSemiCondensed-SemiBold.ttf"
      }.freeze
      # Fallback font for other scripts.
      OTHER_SCRIPTS = "#{FONTS}/DejaVuSansCondensed.ttf".freeze
      INK = "1b2227"
      QUIET = "55636b"
      LINE = "b9c0c2"
      MARGIN = 40
      BOX = 9
      TEXT = 15
      GUTTER = 18
      GAP = 3

      attr_reader :pdf

      # size: "a4" or "letter"
      def initialize(size, title:)
        @pdf =
          Prawn::Document.new(
            page_size: SIZES.fetch(size),
            compress: true,
            margin: [MARGIN, MARGIN, MARGIN + 8, MARGIN],
            info: {
              Title: title,
              Creator: "Graver"
            }
          )
        pdf.font_families.update("Barlow" => FACES, "Other" => { normal: OTHER_SCRIPTS, bold: OTHER_SCRIPTS })
        pdf.font "Barlow", size: 10
        pdf.fallback_fonts ["Other"]
        pdf.default_leading 1.5
        pdf.fill_color INK
        pdf.stroke_color LINE
      end

      # Of the page, or of the column that is being filled.
      def width = pdf.bounds.width

      def heading(text, room: 60)
        go_on if pdf.cursor < room
        pdf.move_down 8
        pdf.text text, size: 13, style: :bold
        pdf.stroke_color INK
        pdf.stroke_horizontal_line left, left + width
        pdf.stroke_color LINE
        pdf.move_down 5
      end

      # Where the column that is being filled begins; texts know it, lines do not.
      def left = pdf.bounds.left_side - pdf.bounds.absolute_left

      # To the next column, or page.
      def go_on = pdf.bounds.move_past_bottom

      # Runs the block's drawing down one column, then the next, over as many pages as it takes.
      def in_columns(count = 2, &block)
        pdf.start_new_page
        pdf.column_box([0, pdf.bounds.top], columns: count, width:, height: pdf.bounds.height, spacer: GUTTER, &block)
      end

      # [[text, done], ...] as boxes in two columns of the same height; on one page where they find room.
      def ticks(items, size: 9)
        columns = halves(items, size)
        needed = columns.map { |column| tall(column, size) }.max
        go_on if needed > pdf.cursor
        top = pdf.cursor
        columns.each_with_index do |column, at|
          pdf.bounding_box([at * (half + GUTTER), top], width: half, height: needed) do
            column.each { |text, done| box(text, done, size:) }
          end
        end
        pdf.move_cursor_to [top - needed, 0].max
      end

      def say(text, size: 10, style: :normal, colour: INK, indent: 0)
        pdf.fill_color colour
        pdf.indent(indent) { pdf.text text, size:, style: }
        pdf.fill_color INK
      end

      # A box to tick with its text, kept together. done: ticked already.
      def tick(text, done: false, size: 10, style: :normal)
        go_on if pdf.cursor < [34, pdf.height_of(text, width: width - TEXT, size:, style:)].max
        box(text, done, size:, style:)
      end

      # rows of texts; the first row is the head. Cells left empty are to be written into.
      def table(rows, widths: nil, size: 9)
        return if rows.length < 2

        Table.new(pdf, rows, widths:, size:, rule: LINE).draw
        pdf.move_down 4
      end

      def foot(text)
        pdf.repeat(:all) do
          pdf.fill_color QUIET
          pdf.text_box text, at: [0, -6], width: width - 60, height: 20, size: 7.5, overflow: :shrink_to_fit
        end
        pdf.number_pages "<page> of <total>", at: [width - 60, -6], width: 60, align: :right, size: 8, color: QUIET
      end

      def bytes = pdf.render

      private

      def box(text, done, size:, style: :normal)
        top = pdf.cursor
        pdf.stroke_color INK
        pdf.stroke_rectangle [left, top - 1], BOX, BOX
        hook(left, top) if done
        pdf.stroke_color LINE
        pdf.indent(TEXT) { pdf.text text, size:, style: }
      end

      def half = (pdf.bounds.width - GUTTER) / 2
      def tall(items, size) = items.sum { |text, _| pdf.height_of(text, width: half - TEXT, size:) }

      # Splits them in two columns of about equal height.
      def halves(items, size)
        upto = 0.0
        least = tall(items, size) / 2
        items.partition { |item| (upto += tall([item], size)) - (tall([item], size) / 2) <= least }
      end

      def hook(left, top)
        low = [left + 4.5, top - 9]
        pdf.stroke_line [left + 2, top - 6], low
        pdf.stroke_line low, [left + 9, top - 2.5]
      end
    end
  end
end
