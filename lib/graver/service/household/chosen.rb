# frozen_string_literal: true

module Graver
  module Service
    module Household
      # How a household speaks and enters values: its English, its usual units. The first of each is Graver's own.
      class Chosen
        include Base::FieldErrors

        CHOICES = {
          "words" => {
            "english" => English::ALL
          },
          "units" => {
            "length" => %w[mm in],
            "torque" => %w[N·m lbf·ft lbf·in]
          }
        }.freeze

        LABELS = {
          english: "changed.chosen_english",
          length: "changed.chosen_length",
          torque: "changed.chosen_torque"
        }.freeze

        # The English the household chose, or nil.
        def self.english(context) = (context.store.preferences.all["words"] || {})["english"]

        # of: "words" or "units"
        def initialize(context, of)
          @context = context
          @of = of
          @choices = CHOICES.fetch(of)
        end

        # { "length" => "mm", ... }, of everything there is a choice of
        def chosen
          @choices.transform_values(&:first).merge((@context.store.preferences.all[@of] || {}).slice(*@choices.keys))
        end

        # As two windows may change them: what nobody chose is nil, whatever the browser speaks.
        def versioned_fields
          Base::VersionedFields.new(
            lambda do
              own = @context.store.preferences.all[@of] || {}
              @choices.keys.to_h { |field| [field.to_sym, own[field]] }
            end,
            ->(name) { Message.of(LABELS.fetch(name)) }
          )
        end

        # given: { length: "in" }, any of them. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*@choices.keys)
          @faults = []
          wanted.each do |field, own|
            choices = @choices.fetch(field)
            fault(field, "out_of_range", Message.of("faults.choose", choices:)) unless choices.include?(own)
          end
          raise_faults

          @context.store.transaction { @context.store.preferences.set(@of, chosen.merge(wanted)) }
          chosen
        end
      end
    end
  end
end
