# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The configuration of a corner that is not together: what the facts that hold there keep stays as it was planned,
      # whatever the owner wants now.
      class KeptConfiguration
        # facts: { id => Fact }
        def initialize(facts)
          @facts = facts
        end

        # wanted: configuration of the corner now; planned: the one it was worked by; held: ids of facts that hold there
        # -> configuration
        def call(wanted, planned, held)
          keeps = held.map { |id| @facts.fetch(id).keeps }
          kept = planned.slice(*keeps.flat_map(&:fields))
          work = planned.fetch("work") & keeps.flat_map(&:work)
          {
            **wanted,
            **kept,
            "work" => wanted.fetch("work") | work,
            "schools" => schools(wanted.fetch("schools", []), planned.fetch("schools", []), keeps.flat_map(&:schools))
          }
        end

        private

        def schools(wanted, planned, kinds)
          kept = planned.select { |school| kinds.include?(school.split(".").first) }
          wanted.reject { |school| kept.any? { |each| each.split(".").first == school.split(".").first } } + kept
        end
      end
    end
  end
end
