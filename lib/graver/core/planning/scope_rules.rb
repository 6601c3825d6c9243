# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What the works of a job bring with them, ask for, and where they exist at all. works: [Work];
      # rules: the rest of knowledge/rules/scope.yml.
      class ScopeRules
        def initialize(works, rules)
          @works = works.to_h { |work| [work.id, work] }
          @always = rules.fetch("always_decides")
          @impossible = rules.fetch("impossible")
          @halting = rules.fetch("halting")
        end

        def ids = @works.keys

        # Works an axle can have; configuration as in Conditions.met?
        def offered(configuration)
          @works.values.select { |work| !work.hidden && Conditions.met?(work.when, configuration) }
        end

        # Works that are in no list.
        def hidden = @works.values.select(&:hidden).map(&:id)

        # The works and what they mean for the steps: ["pads"] -> ["pads", "open", "push"]
        def expanded(works) = works.flat_map { |id| [id, *@works.fetch(id).means] }.uniq

        # Do they only look and measure?
        def looking?(works) = works.any? && works.all? { |id| @works.fetch(id).looking }

        # Of the works, those that a step has begun. steps: ids done at the axle
        def begun(works, steps) = works.select { |id| @works.fetch(id).begun_by.intersect?(steps) }

        # Those of the works that see to any of these marks ("piston", "piston.wet").
        def answering(marks, works) = works.select { |id| @works.fetch(id).answers.intersect?(marks) }

        # Does a mark ("piston.stuck") stop a job that does not see to it, whatever it says of driving?
        def halting?(mark) = @halting.include?(mark)

        # Brake data keys the works want to be known, and those without which there is no order.
        def asks(works) = works.flat_map { |id| @works.fetch(id).asks }.uniq
        def decides(works) = (@always + works.flat_map { |id| @works.fetch(id).decides }).uniq

        # Why the configuration cannot be as it was entered, or nil.
        def impossible(configuration)
          @impossible.find { |entry| Conditions.met?(entry.fetch("when"), configuration) }&.fetch("because")
        end

        # What usually goes with the chosen works and was not chosen: [[work, because], ...]
        def companions(works)
          works.flat_map do |id|
            (@works.fetch(id).companions - works).map { |other| [other, @works.fetch(id).because] }
          end
        end

        # Sentences on what cannot be chosen together.
        def conflicts(works)
          alone = works.find { |id| @works.fetch(id).alone && works.length > 1 }
          rotors = works.select { |id| @works.fetch(id).rotors }
          [
            (Texts.t("scope.alone", work: @works.fetch(alone).label) if alone),
            (Texts.t("scope.either") if rotors.length > 1)
          ].compact
        end
      end
    end
  end
end
