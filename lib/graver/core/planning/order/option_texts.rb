# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Inserts the texts of the owner's approaches into steps: "film off the backs; {says:paste}".
      class OptionTexts
        # text: part of a sentence; uses: ids of consumables it takes
        Saying = Value.define(:text, :uses)
        TOKEN = /\{says:(\w+)\}/

        # option_texts: { "paste.none" => Saying }
        def initialize(option_texts = {})
          @option_texts = option_texts
        end

        # The step's text for these approaches (["paste.none", ...], one of each kind).
        def tell(step, approaches)
          said = spoken(step.text, approaches)
          return step if said.empty?

          text = step.text.gsub(TOKEN) { said.fetch(Regexp.last_match(1)).text }
          step.with(text:, consumables: step.consumables | said.values.flat_map(&:uses))
        end

        private

        # { kind => Saying }
        def spoken(text, approaches)
          kinds = text.scan(TOKEN).flatten
          kinds.to_h { |kind| [kind, @option_texts.fetch(approaches.find { |each| each.start_with?("#{kind}.") })] }
        end
      end
    end
  end
end
