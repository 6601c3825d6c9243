# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The words of the trade the household says.
      class ChosenWords
        include Base::FieldFaults

        KEY = "words"

        def initialize(context)
          @context = context
        end

        # { "rotor" => "disc" }, of every word there is a choice of
        def chosen
          OwnersWords::USUAL.merge((@context.store.preferences.all[KEY] || {}).slice(*OwnersWords::CHOICES.keys))
        end

        def owners_words = OwnersWords.new(chosen)

        # given: { "rotor" => "disc" }. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*OwnersWords::CHOICES.keys)
          @faults = []
          wanted.each do |word, own|
            choices = OwnersWords::CHOICES.fetch(word)
            fault(word, "out_of_range", Texts.say("faults.choose", choices:)) unless choices.include?(own)
          end
          raise_faults

          @context.store.transaction { @context.store.preferences.set(KEY, chosen.merge(wanted)) }
          chosen
        end
      end
    end
  end
end
