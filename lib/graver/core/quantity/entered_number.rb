# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # A number as a person wrote it: its value (Rational) and the step it was written to.
      # "8.40" has the step 1/100, "7/32" the step 1/32, "12" the step 1. Comma or point.
      EnteredNumber =
        Value.define(:value, :step) do
          const_set :DECIMAL, /\A([+-]?(?:\d{1,9}|(?=[.,]\d)))(?:[.,](\d{1,6}))?\z/
          const_set :FRACTION, %r{\A(?:(\d{1,4})[ -])?(\d{1,4})/(\d{1,4})\z}

          # Raises InvalidEntry (field "") when the text is no number.
          def self.parse(text)
            text = text.to_s.scrub("?").strip
            decimal(text) || fraction(text) || refuse(text)
          end

          def self.decimal(text)
            return unless (match = self::DECIMAL.match(text))

            digits = match[2].to_s
            new(
              value: Rational("#{match[1].sub(/\A[+-]?\z/) { "#{_1}0" }}.#{digits.empty? ? 0 : digits}"),
              step: Rational(1, 10**digits.length)
            )
          end

          def self.fraction(text)
            return unless (match = self::FRACTION.match(text)) && match[3].to_i.positive?

            step = Rational(1, match[3].to_i)
            new(value: match[1].to_i + (match[2].to_i * step), step:)
          end

          def self.refuse(text)
            raise InvalidEntry.of("", "missing", Message.of("faults.missing_number")) if text.empty?

            shown = text.length > 24 ? "#{text[0, 24]}…" : text
            raise InvalidEntry.of("", "not_a_number", Message.of("faults.not_a_number", shown:))
          end
          private_class_method :decimal, :fraction, :refuse
        end
    end
  end
end
