# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A shop's quote, in one sum or line by line, as entered.
      class QuoteLines
        include Base::FieldErrors

        MONEY = (0..1_000_000)
        # Sums of a quote are rounded somewhere.
        ROUNDING = 0.05
        LONGEST = 60

        # total: text or nil; lines: [{ what:, amount: }], texts -> { total:, lines: } or nil where nothing is left.
        # Raises InvalidEntry by field; a total that is not the sum of its lines is refused.
        def call(total, lines)
          @faults = []
          said = lines.each_with_index.map { |line, at| line(line, at) }
          sum = said.sum { |line| line[:amount].to_f }.round(2)
          whole = total.to_s.strip.empty? ? nil : money("total", total)
          compare(whole, sum) if whole && said.any?
          raise_faults
          return if whole.nil? && said.empty?

          { total: whole || sum, lines: said }
        end

        private

        def line(line, at)
          what = line[:what].to_s.strip
          fault("lines.#{at}.what", "missing", Message.of("faults.few_words")) if what.empty?
          fault("lines.#{at}.what", "too_long", Message.of("faults.too_long", most: LONGEST)) if what.length > LONGEST
          { what:, amount: money("lines.#{at}.amount", line[:amount]) }
        end

        def money(field, text)
          value = under(field) { Core::Quantity::EnteredNumber.parse(text).value } or return
          return value.to_f.round(2) if MONEY.cover?(value)

          fault(field, "out_of_range", Message.of("faults.between", least: MONEY.min, most: MONEY.max))
        end

        def compare(whole, sum)
          return if (whole - sum).abs <= ROUNDING

          fault("total", "differs", Message.of("jobs.quote_differs", sum: format("%.2f", sum)))
        end
      end
    end
  end
end
