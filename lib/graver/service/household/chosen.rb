# frozen_string_literal: true

module Graver
  module Service
    module Household
      # What a household says and enters in: its words of the trade, its usual units. The first of each is Graver's own.
      class Chosen
        include Base::FieldErrors

        CHOICES = {
          "words" => Vocabulary::CHOICES,
          "units" => {
            "length" => %w[mm in],
            "torque" => %w[N·m lbf·ft lbf·in]
          }
        }.freeze

        def self.vocabulary(context) = Vocabulary.new(new(context, "words").chosen)

        # of: "words" or "units"
        def initialize(context, of)
          @context = context
          @of = of
          @choices = CHOICES.fetch(of)
        end

        # { "rotor" => "disc" }, of everything there is a choice of
        def chosen
          @choices.transform_values(&:first).merge((@context.store.preferences.all[@of] || {}).slice(*@choices.keys))
        end

        # given: { "rotor" => "disc" }, any of them. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*@choices.keys)
          @faults = []
          wanted.each do |field, own|
            choices = @choices.fetch(field)
            fault(field, "out_of_range", Texts.t("faults.choose", choices:)) unless choices.include?(own)
          end
          raise_faults

          @context.store.transaction { @context.store.preferences.set(@of, chosen.merge(wanted)) }
          chosen
        end
      end
    end
  end
end
