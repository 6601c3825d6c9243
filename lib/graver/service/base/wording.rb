# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Makes messages of the trade's own sentences, in the owner's distance unit and terms.
      class Wording
        # Plain tokens, put in as they are: "{unit}" with { unit: "in" }.
        def self.tokens(sentence, tokens) = Message.new(:plain, sentence, tokens:)

        # terms: { usual word => the owner's }
        def initialize(distance_unit, terms = {})
          @distance_unit = distance_unit
          @terms = terms
        end

        # Distances and speeds of the trade: "{distance:80-160}" is "80 to 160 km" or "50 to 100 mi".
        def trade(text) = fill(text, nil)

        # "{limit_mm} mm left, {careful_km}" with { "limit_mm" => 3.0, "careful_km" => 15234.2 } -> "3.0 mm left,
        # 15,000 km"
        def fill(sentence, measures)
          Message.new(:measured, sentence, tokens: measures, unit: @distance_unit, terms: @terms)
        end

        # A text or a Message in the owner's terms alone.
        def own(text) = text.is_a?(Message) ? text.in_terms(@terms) : Terms.put(text, @terms)
      end
    end
  end
end
