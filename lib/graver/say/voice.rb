# frozen_string_literal: true

require "date"

module Graver
  module Say
    # Says messages (Graver::Message).
    module Voice
      # Distances and speeds of the trade: "{distance:80-160}" is "80 to 160 km" or "50 to 100 mi".
      TRADE = /\{(distance|speed):(\d+)(?:-(\d+))?\}/
      # A length, with its error.
      LENGTH = /\{(\w+_mm)\}(?: ± \{(\w+_mm)\})? mm\b/
      RATE = /\{(\w+_mm_per_1000km)\}/

      module_function

      # Message -> String
      def call(message)
        case message.kind
        when :keyed
          Terms.put(Texts.t(message.text, unit: message.unit, **message.tokens), message.terms)
        when :plain
          Typography.tied(message.text.gsub(/\{(\w+)\}/) { message.tokens.fetch(Regexp.last_match(1).to_sym).to_s })
        when :measured
          measured(message)
        when :distance
          Formats.distance(message.text, message.unit)
        when :part
          Texts.part(message.text)
        end
      end

      # Everything of an answer in words: { ..., Message } -> { ..., String }
      def plain(content)
        case content
        when Message
          content.to_s
        when Array
          content.map { |each| plain(each) }
        when Hash
          content.transform_values { |each| plain(each) }
        else
          content
        end
      end

      # "{limit_mm} mm left, {careful_km}" with { "limit_mm" => 3.0, "careful_km" => 15234.2 } -> "3.0 mm left, 15,000
      # km"; no tokens: as written.
      def measured(message)
        said = Terms.put(traded(message), message.terms)
        return said unless message.tokens

        said = said.gsub(RATE) { Lengths.rate(message.tokens.fetch(Regexp.last_match(1)), message.unit) }
        said = said.gsub(LENGTH) { length(message.tokens, *Regexp.last_match.captures) }
        said = said.gsub(/\{(\w+)\}/) { token(message, Regexp.last_match(1)) }
        # an empty token leaves no double space
        Typography.tied(said.squeeze(" ").strip)
      end

      def traded(message)
        said =
          message
            .text
            .gsub(TRADE) do
              kind, *kms = Regexp.last_match.captures.compact
              Formats.trade(kms.map(&:to_f), message.unit, speed: kind == "speed")
            end
        Typography.tied(said)
      end

      def length(tokens, name, error)
        mm = tokens[name]
        mm ? Lengths.named(name, mm, tokens[error]) : Formats.with_unit("?", "mm")
      end

      def token(message, name)
        value = message.tokens[name]
        case value
        when nil
          "?"
        when Float
          figure(name, value, message.unit)
        else
          value.to_s.gsub(Formats::ISO_DAY) { Formats.day(_1) }
        end
      end

      def figure(name, value, unit)
        return Formats.distance(value, unit) if name.end_with?("_km")

        name.end_with?("chance") ? Formats.percent(value) : Formats.measure(name, value)
      end
      private_class_method :measured, :traded, :length, :token, :figure
    end
  end
end
