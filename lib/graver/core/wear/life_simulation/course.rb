# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class LifeSimulation
        # Follows every future step by step until everything above the limit is worn. The arrays are changed in place.
        class Course
          # In one step.
          MOST_LIVES = 1.0

          # Start; Prior; left_mm [component, future] above the limit (used up)
          def initialize(start, prior, left_mm)
            @start = start
            @life_mm = prior.life_mm
            @left_mm = left_mm
            @count = start.components.length
            @rates = NUMBERS.exp(start.lasting)
            @pace = NUMBERS.exp(start.lasting.sum(axis: 0) / @count)
            @changes = Changes.of(prior, start.components)
            @after = @changes.after(start.quiet)
            @met = Numo::DFloat.zeros(*@after.shape)
            @gone = Numo::DFloat.zeros(COUNT)
            @lives_km = Numo::DFloat.zeros(*left_mm.shape)
          end

          # steps: km of each -> [component, future] km until the limit, 0 when it is passed already
          def lives_km(steps)
            drifts = drifts(steps)
            steps.each_with_index { |km, number| step(km, drifts[number, true]) }
            @lives_km
          end

          private

          # drift: how many times as fast as usual everything wears on this step
          def step(km, drift)
            gone = @pace * drift * (km / @life_mm)
            @gone.inplace.+(gone)
            worn = @rates.dup
            happen
            quicken(gone)
            # what changes on a step does so half way, on average
            worn.inplace.+(@rates)
            worn.inplace.*(drift * (km / 2))
            share = @left_mm / worn
            share.inplace.clip(0.0, 1.0)
            share.inplace.*(km)
            @lives_km.inplace.+(share)
            @left_mm.inplace - worn
          end

          # Everything wears the faster the more of the set has gone.
          def quicken(lives)
            faster = NUMBERS.exp(@start.trend * lives.clip(nil, MOST_LIVES))
            @rates.inplace.*(faster)
            @pace.inplace * faster
          end

          # Applies the changes whose time has come in this step.
          def happen
            now = Numo::DFloat.cast(@after <= @gone)
            now.inplace.-(@met)
            @met.inplace.+(now)
            moved = now * @changes.sizes
            each = moved[1..-1, true]
            each.inplace.+(moved[0, true])
            each.inplace.+(now[@changes.felt_from, true] * @changes.mates)
            @rates.inplace.*(NUMBERS.exp(each))
            @pace.inplace * NUMBERS.exp(each.sum(axis: 0) / @count)
          end

          # The drift loses its memory from step to step (Ornstein-Uhlenbeck process) -> [step, future] factors
          def drifts(steps)
            kept = NUMBERS.exp(Numo::DFloat.cast(steps)[true, :new] / (@start.drift_km * -1))
            drifts = NUMBERS.sqrt((kept * kept * -1) + 1)
            drifts.inplace.*(@start.drift_sd)
            drifts.inplace.*(LifeSimulation.normals[DRIFT_ROW...(DRIFT_ROW + steps.length), true])
            before = @start.drift
            steps.each_index do |at|
              drifts[at, true].inplace.+(kept[at, true] * before)
              before = drifts[at, true]
            end
            NUMBERS.exp(drifts)
          end
        end
      end
    end
  end
end
