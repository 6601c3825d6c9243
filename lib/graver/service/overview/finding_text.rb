# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Overview
      # Fills the texts of findings with measures, with no more digits than are true of each.
      module FindingText
        DIGITS = { /variation|runout/ => "%.3f", /rotor_now|discard/ => "%.2f", /_ml\z/ => "%.0f", /_mm\z/ => "%.1f", /\Afluid_(level|before|fall|explained)\z/ => "%.2f",
                   /moisture/ => "%.1f" }.freeze

        module_function

        def fill(text, measures) = text.gsub(/\{(\w+)\}/) { value(Regexp.last_match(1), measures[Regexp.last_match(1)]) }

        def value(name, value)
          case value
          when nil then "?"
          when Float then number(name, value)
          else value.to_s.gsub(/\d{4}-\d\d-\d\d/) { Base::Wording.day(Date.iso8601(_1)) }
          end
        end

        def number(name, value)
          return Base::Wording.percent(value) if name.end_with?("chance")

          format(DIGITS.find { |pattern, _| name.match?(pattern) }&.last || "%g", value)
        end
      end
    end
  end
end
