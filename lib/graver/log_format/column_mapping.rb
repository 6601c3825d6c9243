# frozen_string_literal: true

require "date"

module Graver
  module LogFormat
    # How a person's columns map to the open log: which column is the day, which the odometer, and what was measured in
    # every column of thicknesses. Two shapes are known: one reading a row, or one inspection a row with a column per
    # position.
    class ColumnMapping
      DATE_FORMATS = {
        "iso" => /\A(?<y>\d{4})-(?<m>\d{1,2})-(?<d>\d{1,2})\z/,
        "ymd" => %r{\A(?<y>\d{4})[-./]?(?<m>\d{1,2})[-./]?(?<d>\d{1,2})\z},
        "dmy" => %r{\A(?<d>\d{1,2})[-./ ](?<m>\d{1,2})[-./ ](?<y>\d{4}|\d{2})\z},
        "mdy" => %r{\A(?<m>\d{1,2})[-./ ](?<d>\d{1,2})[-./ ](?<y>\d{4}|\d{2})\z}
      }.freeze
      THOUSANDS = /\A\d{1,3}([., '’\u00A0]\d{3})+\z/
      # How people write the words of the open columns.
      WORDS = {
        "l" => "left",
        "lh" => "left",
        "r" => "right",
        "rh" => "right",
        "f" => "front",
        "in" => "inner",
        "inside" => "inner",
        "inboard" => "inner",
        "out" => "outer",
        "outside" => "outer",
        "outboard" => "outer",
        "disc" => "rotor",
        "disk" => "rotor",
        "primary" => "leading",
        "secondary" => "trailing",
        "pads" => "pad",
        "shoe" => "pad",
        "shoes" => "pad",
        "lining" => "pad",
        "linings" => "pad",
        "drums" => "drum",
        "rotors" => "rotor",
        "back" => "rear"
      }.freeze
      WORDED = %w[axle side part pad event method].freeze
      # Values each reading needs: from a column, or the same for all.
      FIELDS = %w[axle side part pad event method unit overall upper places entered doubt].freeze

      attr_reader :content

      # content: { "date" => { "column" => 0, "format" => "dmy" }, "odometer" => { "column" => 1, "unit" => "km" },
      #   "note" => { "column" => 9 } or nil, "readings" => [{ "column" => 2, "axle" => { "is" => "front" }, "side" =>
      #   { "column" => 4 }, ... }] }
      # width: number of columns. Raises InvalidEntry with every fault.
      def initialize(content, width)
        @content = content
        @width = width
        @dates = {}
        faults = check
        raise InvalidEntry, faults if faults.any?

        @readings = content.fetch("readings").map { |reading| prepared(reading) }
        @words = Hash.new { |words, text| words[text] = WORDS.fetch(text.downcase, text.downcase) }
      end

      # cells of one row -> [{ open column => text }, ...], one per reading that has something in it
      def call(cells)
        date = date(cells)
        common = {
          "date" => date,
          "odometer" => odometer(cells),
          "odometer_unit" => @content.dig("odometer", "unit") || from(@content["odometer_unit"], cells) || "km"
        }
        note = from(@content["note"], cells)
        rows = @readings.filter_map { |column, fixed, looked_up| row(cells, column, fixed, looked_up, common) }
        rows.first["note"] = CsvText.plain(note) if rows.any? && note
        rows
      end

      private

      # [column of the value, constants, [[field, column], ...]]
      def prepared(reading)
        named = FIELDS.filter_map { |field| [field, reading[field]] if reading[field] && !reading[field].empty? }
        fixed, looked_up = named.partition { |_, where| where.key?("is") }
        [
          reading.fetch("column"),
          fixed.to_h { |field, where| [field, where["is"]] },
          looked_up.map { |field, where| [field, where["column"]] }
        ]
      end

      def row(cells, column, fixed, looked_up, common)
        row = common.merge(fixed)
        looked_up.each do |field, at|
          text = cells[at].to_s.strip
          row[field] = WORDED.include?(field) ? @words[text] : text unless text.empty?
        end
        row["value"] = column && cells[column].to_s.strip
        row["event"] ||= "reading"
        row unless row["value"].to_s.empty? && row["event"] == "reading"
      end

      def from(where, cells)
        return if where.nil? || where.empty?

        text = where.key?("is") ? where["is"] : cells[where["column"]].to_s.strip
        text unless text.to_s.empty?
      end

      # "61.200", "61,200 km" and "61 200" are thousands, unless the log is Graver's own.
      def odometer(cells)
        text = cells[@content.dig("odometer", "column")].to_s.strip
        return text if @content.dig("odometer", "plain")

        text = text.sub(/ ?(km|mi|miles)\z/i, "")
        text.match?(THOUSANDS) ? text.gsub(/\D/, "") : text
      end

      # ISO text, or the cell's text if it is no date: the row's check reports it.
      def date(cells)
        text = cells[@content.dig("date", "column")].to_s.strip.sub(/[T ]\d{1,2}:\d{2}.*\z/, "")
        @dates[text] ||= iso(text)
      end

      def iso(text)
        match = DATE_FORMATS.fetch(@content.dig("date", "format")).match(text) or return text
        year = match[:y].to_i
        year += year < 70 ? 2000 : 1900 if year < 100
        Date.new(year, match[:m].to_i, match[:d].to_i).iso8601
      rescue Date::Error
        text
      end

      def check
        faults = []
        faults << fault("date.column", "choose the column with the day") unless column?(@content.dig("date", "column"))
        unless DATE_FORMATS.key?(@content.dig("date", "format"))
          faults << fault("date.format", "choose how days are written: #{DATE_FORMATS.keys.join(", ")}")
        end
        unless column?(@content.dig("odometer", "column"))
          faults << fault("odometer.column", "choose the column with the odometer")
        end
        readings = @content["readings"]
        unless readings.is_a?(Array) && readings.any?
          return faults << fault("readings", "choose at least one column with readings")
        end

        readings.each_with_index { |reading, at| faults.concat(reading_faults(reading, at)) }
        faults
      end

      def reading_faults(reading, at)
        found = []
        found << fault("readings.#{at}.column", "there is no such column") unless column?(reading["column"])
        found << fault("readings.#{at}.axle", "say which axle") unless reading["axle"]
        found << fault("readings.#{at}.part", "say what was read") unless reading["part"]
        named = reading.values_at(*FIELDS).grep(Hash).filter_map { |where| where["column"] }
        found << fault("readings.#{at}", "there is no such column") unless named.all? { |column| column?(column) }
        found
      end

      def column?(column) = column.is_a?(Integer) && column.between?(0, @width - 1)
      def fault(field, message) = InvalidEntry::FieldError.new(field: "mapping.#{field}", code: "mapping", message:)
    end
  end
end
