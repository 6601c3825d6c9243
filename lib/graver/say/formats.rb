# frozen_string_literal: true

require "date"

module Graver
  module Say
    # One way of writing each quantity, with no more digits than are true of it.
    module Formats
      # Digits of measures by what they are, the first that fits: places round a rotor are read to thousandths, rotors
      # to hundredths, pads to tenths.
      DIGITS = {
        /variation|runout/ => 3,
        /rotor_now|thinnest_rotor|discard|drum|oval|\A(reading|cut_left|spare)_mm\z/ => 2,
        /_ml\z/ => 0,
        /_mm\z/ => 1,
        /\Afluid_(level|before|fall|explained)\z/ => 2,
        /moisture/ => 1
      }.freeze
      ISO_DAY = /\b\d{4}-\d\d-\d\d\b/
      TORQUES = { newton_metres: "N·m", pound_feet: "lbf·ft", pound_inches: "lbf·in" }.freeze
      SPEEDS = { "km" => "km/h", "mi" => "mph" }.freeze

      module_function

      # A figure and its unit, never on two lines.
      def with_unit(figure, unit) = "#{figure}#{Typography::NO_BREAK}#{unit}"
      # line: a torque line as the API has it -> [[figure, unit], ...], the unit it was entered in first
      def torques(line)
        TORQUES
          .map { |key, unit| [line[key], unit] }
          .sort_by
          .with_index { |(_, unit), at| [unit == line[:entered_unit] ? 0 : 1, at] }
      end

      # "4 May 2026"
      def day(date) = (date.is_a?(String) ? Date.iso8601(date) : date).strftime("%-d %b %Y")
      # Of a day within the year: "Sat 23 May".
      def near_day(date) = date.strftime("%a %-d %b")

      # Nobody is as sure as 0 or 100 %.
      def percent(chance)
        return with_unit("under 1", "%") if chance < 0.01

        chance > 0.99 ? with_unit("over 99", "%") : with_unit((chance * 100).round, "%")
      end

      # "250 ml"; to Americans "250 ml (8.5 fl oz)", as bottles say it.
      def volume(ml)
        said = with_unit(number(ml), "ml")
        return said unless american?

        ounces = Core::Quantity::VOLUME.from_base(ml, "fl oz").to_f.round(1)
        "#{said} (#{with_unit(number(ounces), "fl oz")})"
      end

      # "230 °C"; to Americans "446 °F". step: what it is rounded to
      def temperature(celsius, step: 1)
        value = american? ? (celsius * 1.8) + 32 : celsius
        with_unit((value / step.to_f).round * step, american? ? "°F" : "°C")
      end

      def american? = Spoken.english == "us"

      # A plain figure: 5000000 is "5,000,000", 7.50 is "7.5", 0.07843 is "0.07843".
      def number(value)
        return grouped(value) if value.is_a?(Integer) || (value.abs >= 1000 && (value % 1).zero?)

        format("%.4g", value)
      end

      # 3.0 of "limit_mm" is "3.0", 0.0213 of "runout_mm" is "0.021".
      def measure(name, value)
        digits = digits(name)
        digits ? format("%.#{digits}f", value) : number(value)
      end

      # Digits of a measure by its name, or nil
      def digits(name) = DIGITS.find { |pattern, _| name.match?(pattern) }&.last

      # Two figures, as people say distances: 15,234 km is "15,000 km".
      def distance(km, unit)
        value = in_unit(km, unit)
        step = value >= 1000 ? 10**(Math.log10(value).floor - 1) : 100
        with_unit(grouped((value / step).round * step), unit)
      end

      # A round figure of the trade ("80 to 160 km", "50 to 100 mi"), rounded again in miles.
      def trade(kms, unit, speed: false)
        said = kms.map { |km| unit == "km" ? km : rounded(in_unit(km, unit)) }
        with_unit(said.map { |figure| grouped(figure) }.join(" to "), speed ? SPEEDS.fetch(unit) : unit)
      end

      def list(words, last) = words.length < 2 ? words.join : "#{words[0...-1].join(", ")} #{last} #{words.last}"
      def grouped(value) = value.round.to_s.reverse.scan(/\d{1,3}-?/).join(",").reverse
      def in_unit(km, unit) = Core::Quantity::DISTANCE.from_base(km, unit)

      def rounded(value)
        step = value < 100.5 ? 5 : 10
        (value / step).round * step
      end

      private_class_method :rounded
    end
  end
end
