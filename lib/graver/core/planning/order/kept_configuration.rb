# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The configuration of a corner that is apart: what its facts keep stays as planned, whatever the owner wants now.
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
            "approaches" =>
              approaches(wanted.fetch("approaches", []), planned.fetch("approaches", []), keeps.flat_map(&:approaches))
          }
        end

        private

        def approaches(wanted, planned, kinds)
          kept = planned.select { |approach| kinds.include?(approach.split(".").first) }
          wanted.reject { |approach| kept.any? { |each| each.split(".").first == approach.split(".").first } } + kept
        end
      end
    end
  end
end
