# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Base
      # Fills the tokens of the trade's own sentences, in the owner's distance unit.
      class Wording
        # Plain tokens, put in as they are: "{unit}" with { unit: "in" }.
        def self.tokens(sentence, tokens)
          Formats.tied(sentence.gsub(/\{(\w+)\}/) { tokens.fetch(Regexp.last_match(1).to_sym).to_s })
        end

        # terms: { usual word => the owner's }
        def initialize(distance_unit, terms = {})
          @distance_unit = distance_unit
          @terms = terms
        end

        # Distances and speeds of the trade: "{distance:80-160}" is "80 to 160 km" or "50 to 100 mi".
        def trade(text)
          said =
            text.gsub(/\{(distance|speed):(\d+)(?:-(\d+))?\}/) do
              kind, *kms = Regexp.last_match.captures.compact
              Formats.trade(kms.map(&:to_f), @distance_unit, speed: kind == "speed")
            end
          own(Formats.tied(said))
        end

        # The same in the owner's words.
        def own(text) = @terms.reduce(text) { |said, (usual, own)| said.gsub(usual, own) }

        # "{limit_mm} mm left, {careful_km}" with { "limit_mm" => 3.0, "careful_km" => 15234.2 } -> "3.0 mm left,
        # 15,000 km"
        def fill(sentence, measures)
          said = trade(sentence).gsub(/\{(\w+)\}/) { said(Regexp.last_match(1), measures[Regexp.last_match(1)]) }
          # an empty token leaves no double space
          Formats.tied(said.squeeze(" ").strip)
        end

        private

        def said(name, value)
          case value
          when nil
            "?"
          when Float
            figure(name, value)
          else
            value.to_s.gsub(Formats::ISO_DAY) { Formats.day(_1) }
          end
        end

        def figure(name, value)
          return Formats.distance(value, @distance_unit) if name.end_with?("_km")

          name.end_with?("chance") ? Formats.percent(value) : Formats.measure(name, value)
        end
      end
    end
  end
end
