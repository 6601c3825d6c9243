# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # The household's money: its sign, and what shops around here ask.
      class MoneyChoices
        include Base::FieldErrors

        KEY = "money"
        LABELS = {
          currency: "changed.currency",
          labour_rate: "changed.labour_rate",
          markup_percent: "changed.markup_percent",
          tax_percent: "changed.tax_percent",
          own_rate: "changed.own_rate"
        }.freeze
        RANGES = {
          "labour_rate" => 0..1000,
          "markup_percent" => 0..500,
          "tax_percent" => 0..60,
          "own_rate" => 0..1000
        }.freeze

        def initialize(context)
          @context = context
        end

        # { "currency" => "€", "labour_rate" => "90", "markup_percent" => "40", "tax_percent" => "20", "own_rate" => "0"
        # }, numbers as entered; own_rate: the value of the owner's own hour
        def chosen
          usual = @context.knowledge.hours.fetch("shop")
          { "currency" => "€", **RANGES.keys.to_h { |key| [key, usual.fetch(key, 0).to_s] } }.merge(
            @context.store.preferences.all[KEY] || {}
          )
        end

        # As two windows may change them.
        def versioned_fields
          Base::VersionedFields.new(-> { chosen.transform_keys(&:to_sym) }, ->(name) { Message.of(LABELS.fetch(name)) })
        end

        # -> Float of a choice
        def number(key) = Core::Quantity::EnteredNumber.parse(chosen.fetch(key)).value.to_f

        # given: any of them, texts. Raises InvalidEntry.
        def choose(given)
          @faults = []
          wanted =
            given.transform_keys(&:to_s).slice("currency", *RANGES.keys).transform_values { |text| text.to_s.strip }
          if wanted.key?("currency") && !wanted["currency"].length.between?(1, 5)
            fault("currency", "missing", Message.of("faults.currency"))
          end
          RANGES.each { |key, range| check(key, wanted[key], range) if wanted.key?(key) }
          raise_faults

          @context.store.transaction { @context.store.preferences.set(KEY, chosen.merge(wanted)) }
          chosen
        end

        private

        def check(key, text, range)
          value = under(key) { Core::Quantity::EnteredNumber.parse(text).value }
          return unless value && !range.cover?(value)
          fault(key, "out_of_range", Message.of("faults.between", least: range.min, most: range.max))
        end
      end
    end
  end
end
