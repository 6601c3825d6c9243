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
      # What an owner writes in another script.
      OTHER_SCRIPTS = "#{FONTS}/DejaVuSansCondensed.ttf".freeze
      INK = "1b2227"
      QUIET = "55636b"
      LINE = "b9c0c2"
      MARGIN = 40
      BOX = 10

      attr_reader :pdf

      # size: "a4" or "letter"
      def initialize(size, title:)
        @pdf =
          Prawn::Document.new(
            page_size: SIZES.fetch(size),
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

      def width = pdf.bounds.width

      def heading(text, room: 60)
        pdf.start_new_page if pdf.cursor < room
        pdf.move_down 8
        pdf.text text, size: 14, style: :bold
        pdf.stroke_color INK
        pdf.stroke_horizontal_rule
        pdf.stroke_color LINE
        pdf.move_down 5
      end

      def say(text, size: 10, style: :normal, colour: INK, indent: 0)
        pdf.fill_color colour
        pdf.indent(indent) { pdf.text text, size:, style: }
        pdf.fill_color INK
      end

      # A box to tick with its text, kept together. done: ticked already.
      def tick(text, done: false, size: 10, style: :normal, indent: 0)
        pdf.start_new_page if pdf.cursor < 34
        top = pdf.cursor
        pdf.stroke_color INK
        pdf.stroke_rectangle [indent, top - 1], BOX, BOX
        hook(indent, top) if done
        pdf.stroke_color LINE
        pdf.indent(indent + 17) { pdf.text text, size:, style: }
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

      def hook(left, top)
        low = [left + 4.5, top - 9]
        pdf.stroke_line [left + 2, top - 6], low
        pdf.stroke_line low, [left + 9, top - 2.5]
      end
    end
  end
end
