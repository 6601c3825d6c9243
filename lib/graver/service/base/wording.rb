# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Base
      # Fills the tokens of the trade's sentences, in the owner's distance unit and with no more digits than are true.
      class Wording
        def initialize(distance_unit)
          @distance_unit = distance_unit
        end

        # Plain tokens, put in as they are: "{unit}" with { unit: "in" }.
        def self.tokens(sentence, tokens) = sentence.gsub(/\{(\w+)\}/) { tokens.fetch(Regexp.last_match(1).to_sym).to_s }

        # A day as it is said: "4 May 2026".
        def self.day(date) = date.strftime("%-d %b %Y")

        # Nobody is as sure as 0 or 100 %.
        def self.percent(chance)
          return "under 1 %" if chance < 0.01

          chance > 0.99 ? "over 99 %" : "#{(chance * 100).round} %"
        end

        # A label inside a sentence: "New pads" -> "new pads".
        def self.inside(label) = label.sub(/\A[[:upper:]](?![[:upper:]])/, &:downcase)

        # Distances and speeds of the trade in the owner's unit: "{distance:80-160}" is "80 to 160 km" or "50 to 100 mi".
        def trade(text)
          text.gsub(/\{(distance|speed):(\d+)(?:-(\d+))?\}/) do
            unit = Regexp.last_match(1) == "speed" ? { "km" => "km/h", "mi" => "mph" }.fetch(@distance_unit) : @distance_unit
            "#{Regexp.last_match.captures[1..].compact.map { |km| plain(km.to_f) }.join(" to ")} #{unit}"
          end
        end

        # "{limit_mm} mm left, {careful_km}" with { "limit_mm" => 3.0, "careful_km" => 15234.2 } -> "3.0 mm left, 15,000 km"
        def fill(sentence, tokens)
          trade(sentence).gsub(/\{(\w+)\}/) { text(Regexp.last_match(1), tokens[Regexp.last_match(1)]) }
        end

        # Two figures, as people say distances.
        def distance(km)
          value = Core::Quantity::DISTANCE.from_base(km, @distance_unit)
          step = value >= 1000 ? 10**(Math.log10(value).floor - 1) : 100
          "#{group((value / step).round * step)} #{@distance_unit}"
        end

        private

        # A round figure of the trade, rounded again in miles.
        def plain(km)
          value = Core::Quantity::DISTANCE.from_base(km, @distance_unit)
          step = value < 100.5 ? 5 : 10
          (@distance_unit == "km" ? value : (value / step).round * step).round.to_s
        end

        def text(name, value)
          case value
          when nil then "?"
          when String, Integer then value.to_s.gsub(/\A(\d{4}-\d\d-\d\d)\z/) { self.class.day(Date.iso8601(_1)) }
          else number(name, value)
          end
        end

        def number(name, value)
          return distance(value) if name.end_with?("_km")
          return self.class.percent(value) if name.end_with?("chance")

          format(name == "limit_mm" || name.include?("pad") ? "%.1f" : "%.2f", value)
        end

        def group(number) = number.to_s.reverse.scan(/\d{1,3}/).join(",").reverse
      end
    end
  end
end
