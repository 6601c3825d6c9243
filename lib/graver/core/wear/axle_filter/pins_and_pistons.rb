# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class AxleFilter
        # What it means that the pins and the piston of a corner were tried: they move, or don't. A corner counts as
        # seized where one of its components changed last.
        module PinsAndPistons
          private

          # The chance that they were found as they were. changed: numbers of what changes on the stretch, per case ->
          # [case, hypothesis], or 1.0
          def chance_found(movements, changed)
            movements.reduce(1.0) do |chances, (components, how)|
              seized = among(hypotheses.changed, components)[:new, true]
              seized = Numo::DFloat.maximum(seized, among(changed, components)[true, :new])
              chances * chance_of(how, seized)
            end
          end

          # The same where nothing was driven since the last service.
          def found_standing(movements)
            movements.each { |components, how| hypotheses.weigh(chance_of(how, among(hypotheses.changed, components))) }
          end

          def chance_of(how, seized)
            found = @prior.movement.fetch(how)
            found[:sound] + ((found[:seized] - found[:sound]) * seized)
          end

          # What doesn't move is not yet seen in the wear, and will be from here on.
          def begin_seizures(epoch)
            epoch.movements.each do |components, how|
              here = components & @on.keys
              chance = @prior.movement.fetch(how)[:begins]
              begin_seizure(here, chance) if chance.positive? && here.any? && !here.intersect?(epoch.freed)
            end
          end

          def begin_seizure(components, chance)
            changes = changes([0.5])
            begins = Numo::DFloat.cast(changes.shares(components.map { |component| who(component) })) * chance
            chances = begins[true, :new] * (1 - among(hypotheses.changed, components))[:new, true]
            chances[0, true] = 1 - chances.sum(axis: 0)
            change_now(changes, hypotheses.branch(NUMBERS.log(chances + TINY), BRANCHED, negligible: NEGLIGIBLE_CHANGE))
          end

          # which: the case of each hypothesis
          def change_now(changes, which)
            hypotheses.tell(changes.kind(which))
            hypotheses.note_change(changes.who(which), Numo::DFloat.zeros(hypotheses.length) + @km)
            hypotheses.move(changes.shift(which), changes.variance(which))
            hypotheses.prune(KEPT)
          end

          def among(numbers, components)
            Numo::DFloat.cast(components.map { |component| numbers.eq(who(component)) }.reduce(:|))
          end
        end
      end
    end
  end
end
