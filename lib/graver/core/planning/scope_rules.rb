# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What each work adds, asks for, and where it exists. works: [Work]; rules: the rest of knowledge/rules/scope.yml.
      class ScopeRules
        def initialize(works, rules)
          @works = works.to_h { |work| [work.id, work] }
          @always = rules.fetch("always_decides")
          @impossible = rules.fetch("impossible")
          @halting = rules.fetch("halting")
        end

        # -> [work id], in the order of the file
        def ids = @works.keys

        # Works an axle can have; configuration as in Conditions.met?
        def offered(configuration)
          @works.values.select { |work| !work.hidden && Conditions.met?(work.when, configuration) }
        end

        # The work that makes an axle's rotors or drums new, and the one that turns them, of those it can have; works:
        # [Work] -> { "new" => id, "turn" => id }
        def of_rotors(works) = works.select(&:rotors).to_h { |work| [work.rotors, work.id] }
        # The work that renews what wears by braking, of those an axle can have -> id, or nil
        def of_friction(works) = works.find { |work| work.renews == "friction" }&.id

        # Works that are in no list.
        def hidden = @works.values.select(&:hidden).map(&:id)

        # The works with their meanings for the steps, without those that one of them spares: ["pads"] -> ["pads",
        # "open", "push"], ["pads", "caliper"] -> ["pads", "open", "caliper", ...]
        def expanded(works)
          works.flat_map { |id| [id, *@works.fetch(id).means] }.uniq - works.flat_map { |id| @works.fetch(id).spares }
        end

        # Whether the works only inspect and measure.
        def looking?(works) = works.any? && works.all? { |id| @works.fetch(id).looking }

        # The works that a done step has begun. steps: ids done at the axle
        def begun(works, steps) = works.select { |id| @works.fetch(id).begun_by.intersect?(steps) }

        # The works that deal with any of these marks ("piston", "piston.wet").
        def answering(marks, works) = works.select { |id| @works.fetch(id).answers.intersect?(marks) }

        # Whether a mark ("piston.stuck") halts a job that does not deal with it, whatever it says of driving.
        def halting?(mark) = @halting.include?(mark)

        # Brake data the works ask for, and those that the order of steps cannot do without.
        def asks(works) = works.flat_map { |id| @works.fetch(id).asks }.uniq
        # works: [id] -> keys of brake data without which their order can't be made
        def decides(works) = (@always + works.flat_map { |id| @works.fetch(id).decides }).uniq

        # The reason why the entered configuration cannot exist, or nil.
        def impossible(configuration)
          @impossible.find { |entry| Conditions.met?(entry.fetch("when"), configuration) }&.fetch("because")
        end

        # Works that usually go with the chosen ones and were not chosen: [[work, because], ...]
        def companions(works)
          works.flat_map do |id|
            (@works.fetch(id).companions - works).map { |other| [other, @works.fetch(id).because] }
          end
        end

        # Sentences about works that exclude each other.
        def conflicts(works)
          alone = works.find { |id| @works.fetch(id).alone && works.length > 1 }
          rotors = works.select { |id| @works.fetch(id).rotors }
          [
            (Message.of("scope.alone", work: @works.fetch(alone).label) if alone),
            (Message.of("scope.either") if rotors.length > 1)
          ].compact
        end
      end
    end
  end
end
