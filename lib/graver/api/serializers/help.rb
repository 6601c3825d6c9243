# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The glossary, and how often the forecast was right where the end is known.
      module Help
        def self.call(knowledge)
          terms = knowledge.glossary
          names = terms.to_h { |term| term.values_at("id", "term") }
          drawn = knowledge.drawn_terms
          {
            terms:
              terms
                .sort_by { |term| term["term"].downcase }
                .map { |term| { **word(term, names), drawn: drawn[term["id"]] } },
            worlds:
              knowledge.calibration["rows"].map do |row|
                { **row, label: Say::Texts.t("help.#{row["kind"]}_#{row["id"]}") }
              end
          }
        end

        def self.word(term, names)
          {
            **term.slice("id", "term", "text"),
            everyday: term.fetch("everyday", false),
            also: term.fetch("also", []),
            see: term.fetch("see", []).map { |id| names.fetch(id) }
          }
        end
        private_class_method :word
      end
    end
  end
end
