# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Compares a new part with the old one, before anything is undone.
      module PartMatch
        # verdict: "fits", "differs", or "unknown" if one of the two is unknown
        Check = Value.define(:what, :old_mm, :new_mm, :within_mm, :verdict)

        module_function

        # matches: { "thickness_mm" => { "key" =>, "within" => mm } }; details: { "thickness_mm" => 11.5 } of the new
        # part; known: { key => mm } of the old one -> [Check]
        def call(matches, details, known)
          matches.map do |what, match|
            old, new = known[match.fetch("key")], details[what]
            Check.new(
              what:,
              old_mm: old,
              new_mm: new,
              within_mm: match.fetch("within"),
              verdict: verdict(old, new, match.fetch("within"))
            )
          end
        end

        def verdict(old, new, within)
          return "unknown" unless old && new

          (old - new).abs <= within + 1e-9 ? "fits" : "differs"
        end
      end
    end
  end
end
