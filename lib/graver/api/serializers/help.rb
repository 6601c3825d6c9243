# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Words explained, and how often the forecast was right where its end is known.
      module Help
        def self.call(knowledge)
          terms = knowledge.glossary
          names = terms.to_h { |term| term.values_at("id", "term") }
          {
            terms:
              terms
                .sort_by { |term| term["term"].downcase }
                .map do |term|
                  { **term.slice("id", "term", "text"), see: term.fetch("see", []).map { |id| names.fetch(id) } }
                end,
            worlds:
              knowledge.calibration["rows"].map do |row|
                { **row, label: Texts.say("help.#{row["kind"]}_#{row["id"]}") }
              end
          }
        end
      end
    end
  end
end
