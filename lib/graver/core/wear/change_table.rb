# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # The changes possible between two services, and the effect of each on the unknowns of a hypothesis: none; the
      # whole axle changes its rate; one component does and its mate slows down, stops or goes on. Each early, half way
      # or late.
      class ChangeTable
        # kind: which change, whenever it is (0: none)
        # spell: [mean, variance] of the logarithm of the pace over the stretch
        Case =
          Struct.new(:per_life, :epoch, :moves, :kind, :spell) { def who = moves.empty? ? 0 : moves.first.first + 1 }

        # Made once per prior; arguments as of `new`.
        def self.of(prior, *which) = prior.once([self, *which]) { new(prior, *which) }

        NO_SPELL = [0.0, 0.0].freeze
        private_constant :NO_SPELL

        # components: ids, in the order of Hypotheses; on: those that wear; epochs: shares of the stretch at which a
        # change may fall
        def initialize(prior, components, on, epochs)
          @prior = prior
          @components = components
          @cases = cases(axle + corners(on), epochs)
          @per_life, @epochs, @kinds, @who =
            %i[per_life epoch kind who].map { |name| Numo::DFloat.cast(@cases.map(&name)) }
          @quietly = Numo::DFloat.cast(@cases.map { |kase| kase.per_life * rarely(kase.who) })
          @shift, @variance = [1, 2].map { |at| table(at) }
          @spell, @spell_variance = [0, 1].map { |at| Numo::DFloat.cast(@cases.map { |kase| kase.spell[at] }) }
          @times = Numo::DFloat::Math.exp(@spell + (0.5 * @spell_variance))
        end

        # The chance of each case, and that of a quiet axle given it: [case, hypothesis] both. lives: shares of a life
        # worn on the stretch; quiet: chance that changes are rare on this axle.
        def chances(lives, quiet)
          rarely = chances_at(@quietly, lives) * quiet
          all = (chances_at(@per_life, lives) * (1 - quiet)) + rarely + 1e-30
          [all, rarely / all]
        end

        # Which change it is, whenever it was (0: none).
        def kind(which) = @kinds[which].dup

        # What it concerns: 0 nothing, 1 the axle, then each component.
        def who(which) = @who[which].dup

        # The same for each case.
        def each_who = @who

        # How the cases in which one of these changes share a chance, by how often they come -> [share], one per case.
        def shares(whose)
          mine = @cases.map { |kase| whose.include?(kase.who) ? kase.per_life : 0.0 }
          mine.map { |per_life| per_life / [mine.sum, 1e-30].max }
        end

        # Per hypothesis and case: when the change comes, and its effect on the unknown of each row (the base, then each
        # component's deviation).
        def epoch(which) = @epochs[which].dup
        # which: row of each hypothesis -> shift of each unknown [unknown, hypothesis]
        def shift(which) = @shift[true, which].dup
        # which: as in #shift -> variance added to each unknown [unknown, hypothesis]
        def variance(which) = @variance[true, which].dup

        # How many times as much as usual is worn after it on the stretch, and the variance of the logarithm of that.
        def spell(which) = [@times[which].dup, @spell_variance[which].dup]

        # The effect of each case on the components of these rows: [factor of the wear over the stretch, variance of its
        # logarithm], each [component, case].
        def felt(rows)
          (@felt ||= {})[rows] ||= begin
            shift, variance = [@shift, @variance].map { |table| table[rows, true] + table[0, true] }
            shift, variance = [shift + @spell, variance + @spell_variance]
            after = 1 - @epochs
            [(Numo::DFloat::Math.exp(shift + (0.5 * variance)) * after) + @epochs, variance * after]
          end
        end

        private

        # How many times as often as usual the axle, or one component, changes on a quiet axle.
        def rarely(who)
          return 1.0 if who.zero?

          @prior.quiet.fetch(who > 1 ? :pin_times : :times)
        end

        def chances_at(per_life, lives)
          chances = 1 - Numo::DFloat::Math.exp(-per_life[true, :new] * lives[:new, true])
          chances[0, true] = (1 - chances.sum(axis: 0)).clip(0.02, 1)
          chances
        end

        # [[per life, [[row, shift, variance], ...]], ...]
        def axle
          @prior.axle_changes.map { |how| [how[:per_life], [[0, how[:log_mean], how[:log_sd]**2]]] }
        end

        def corners(on)
          on
            .product(@prior.seizures)
            .map do |component, how|
              moves = [[row(component), how[:log_mean], how[:log_sd]**2]]
              other = OppositePad.of(component, @components)
              moves << [row(other), how[:mate_log_mean], how[:mate_log_sd]**2] if other
              [how[:per_life] * @prior.seizure_weights.fetch(component, 0.0), moves]
            end
        end

        # No change, then each change at each epoch.
        def cases(changes, epochs)
          each =
            changes.each_with_index.flat_map do |(per_life, moves), number|
              epochs.map { |at| Case.new(per_life / epochs.length, at, moves, number + 1, NO_SPELL) }
            end
          [Case.new(0.0, 0.5, [], 0, NO_SPELL), *each, *spells(changes.length)]
        end

        # Passing ones: the whole axle wears faster or slower on the stretch, and then as before.
        def spells(others)
          @prior.spells.each_with_index.map do |how, number|
            Case.new(how[:per_life], 0.0, [], others + number + 1, [how[:log_mean], how[:log_sd]**2])
          end
        end

        def row(component) = 1 + @components.index(component)

        def table(at)
          rows = Array.new(@components.length + 1) { Array.new(@cases.length, 0.0) }
          @cases.each_with_index { |kase, column| kase.moves.each { |move| rows[move[0]][column] = move[at] } }
          Numo::DFloat.cast(rows)
        end
      end
    end
  end
end
