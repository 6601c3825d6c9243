# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class LifeSimulation
        # Future changes, one for the whole axle and one for each component: the share of a life after which each comes,
        # its size in the logarithm of the rate, and its effect on the mate. Drawn once per prior; how lively the axle
        # is decides when they come.
        class Changes
          # Prior, ids of the components
          def self.of(prior, components) = prior.once([self, components]) { new(prior, components) }

          # sizes  [axle or component, future]; mates: what each component feels of its mate's change, by the rows
          # `felt_from` of sizes
          attr_reader :sizes, :mates, :felt_from

          def initialize(prior, components)
            @prior = prior
            rows =
              components.each_with_index.map do |component, at|
                change(prior.seizures, prior.seizure_weights.fetch(component, 0.0), at + 1)
              end
            @after, @sizes, mates = [change(prior.axle_changes, 1.0, 0), *rows].transpose.map { |of| Numo::DFloat[*of] }
            @felt_from, alone = sources(components)
            @mates = mates[@felt_from, true].dup
            alone.each { |at| @mates[at, true] = 0.0 }
            freeze
          end

          # quiet: chance that changes are rare, per future -> share of a life after which each comes
          def after(quiet)
            rarely = Numo::DFloat.cast(LifeSimulation.chances[QUIET_ROW, true] < quiet)
            axle, pins = %i[times pin_times].map { |times| 1 - (rarely * (1 - @prior.quiet.fetch(times))) }
            coming = @after.dup
            coming[0, true].inplace./(axle)
            coming[1..-1, true].inplace./(pins)
            coming
          end

          private

          # Each future gets the kind of change that its draw picks. -> [share of a life on a lively axle, size, effect
          # on the mate]
          def change(kinds, weight, row)
            shares = kinds.map { |kind| kind[:per_life] * weight }
            total = [shares.sum, 1e-9].max
            pick = LifeSimulation.chances[KIND_ROW + row, true]
            upto = 0.0
            size, mate = pick * 0.0, pick * 0.0
            kinds.zip(shares) do |kind, share|
              from, upto = upto, upto + (share / total)
              mine = Numo::DFloat.cast((pick >= from) & (pick < upto))
              size += mine * drawn(kind, :log_mean, :log_sd, SIZE_ROW + row)
              mate += mine * drawn(kind, :mate_log_mean, :mate_log_sd, MATE_ROW + row - 1) if kind.key?(:mate_log_mean)
            end
            [NUMBERS.log(1 - LifeSimulation.chances[row, true]) / -total, size, mate]
          end

          def drawn(kind, mean, spread, row) = kind[mean] + (LifeSimulation.normals[row, true] * kind[spread])

          # -> the row each component feels its mate's change from, and who has no mate
          def sources(components)
            mates = components.map { |component| OppositePad.of(component, components) }
            rows = mates.each_with_index.map { |mate, at| 1 + (mate ? components.index(mate) : at) }
            [rows, mates.each_index.reject { |at| mates[at] }]
          end
        end
      end
    end
  end
end
