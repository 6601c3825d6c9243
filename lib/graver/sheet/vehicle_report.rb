# frozen_string_literal: true

require "stringio"

module Graver
  module Sheet
    # What a vehicle's owner hands to a buyer or an inspector: the parts of it that were ticked, and nothing else.
    class VehicleReport
      PHOTO = [240, 180].freeze
      # A part's heading and what draws it.
      PARTS = {
        "vehicle" => :vehicle,
        "brakes" => :brakes,
        "fitted" => :fitted,
        "findings" => :findings,
        "sets" => :sets,
        "history" => :history,
        "data" => :data,
        "photos" => :photos
      }.freeze

      # report: Hash of API::Serializers::VehicleReports; size: of Paper::SIZES -> bytes of a PDF
      def self.call(report, size) = new(report, size).bytes

      def initialize(report, size)
        @report = report
        @paper = Paper.new(size, title: report[:title])
        @pdf = @paper.pdf
      end

      def bytes
        @pdf.text @report[:title], size: 20, style: :bold
        @paper.say @report[:made], size: 10, colour: Paper::QUIET
        PARTS.each { |part, draw| method(draw).call(@report[part.to_sym]) if @report.key?(part.to_sym) }
        @paper.foot(@report[:foot])
        @paper.bytes
      end

      private

      # rows: [[label, value]], the name first
      def vehicle(rows)
        @paper.heading(Say::Texts.t("report.vehicle"))
        @paper.table(rows, widths: { 0 => 150 })
      end

      def brakes(axles)
        axles.each do |axle|
          @paper.heading(axle[:title], room: 170)
          corners(axle[:corners])
          axle[:lines].each { |line| @paper.say line }
        end
      end

      def corners(all)
        left, top = 0, @pdf.cursor - 24
        all.each { |corner| left += (corner[:drum] ? DrumSection : Section).new(@pdf).draw(corner, [left, top]) + 40 }
        @pdf.move_cursor_to top - 66
      end

      def fitted(rows)
        @paper.heading(Say::Texts.t("report.fitted"))
        @paper.table([%w[Axle Part Fitted Since Bought], *rows])
      end

      # [{ severity:, text: }]
      def findings(all)
        @paper.heading(Say::Texts.t("report.findings"))
        return @paper.say(Say::Texts.t("report.no_findings")) if all.empty?

        @paper.table([%w[State Finding], *all.map { |each| [each[:severity], each[:text]] }], widths: { 0 => 60 })
      end

      # [[title, [line]]]
      def sets(all)
        @paper.heading(Say::Texts.t("report.sets"))
        all.each do |title, lines|
          @paper.say title, style: :bold
          lines.each { |line| @paper.say line }
          @pdf.move_down 4
        end
      end

      def history(rows)
        @paper.heading(Say::Texts.t("report.history"))
        @paper.table([%w[Day Odometer What Note], *rows], widths: { 0 => 70, 1 => 70 }, size: 8.5)
      end

      # [{ title:, known: [[label, value, source]], unknown: text or nil }]
      def data(axles)
        axles.each do |axle|
          @paper.heading(axle[:title])
          @paper.table([%w[Value Is Source], *axle[:known]])
          @paper.say axle[:unknown], colour: Paper::QUIET if axle[:unknown]
        end
      end

      # [{ bytes:, caption: }]
      def photos(all)
        return if all.empty?

        @paper.heading(Say::Texts.t("report.photos"), room: PHOTO.last + 60)
        all.each do |photo|
          @paper.go_on if @pdf.cursor < PHOTO.last + 20
          @pdf.image StringIO.new(photo[:bytes]), fit: PHOTO
          @paper.say photo[:caption], size: 8.5, colour: Paper::QUIET
          @pdf.move_down 6
        end
      end
    end
  end
end
