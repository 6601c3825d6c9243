# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # From an axle's history to how far its first component, and each of them, is from the limit.
      #
      #   Forecast.call(history, prior) -> Result, or nil when there is nothing to start from (no set known)
      #
      # Result: `first` and `components` (by id) are Lives; `now` has each component's { mean_mm:, sd_mm: }; `rates`
      # each one's 10, 50 and 90 % wear rate in mm per 1,000 km; `doubted` the readings more likely wrong than right, [{
      # ref:, chance: }]; `renewed` where a set missing from the log was more likely fitted than not, [{ before_km:,
      # chance: }]; `changed` whose rate changed last, { component or :axle => { chance:, since_km: } }; `quiet`
      # how likely it is that sudden changes are rare on this axle; `observed` counts the readings of the set that is
      # on, `readings` with them the parts whose thickness was known as they went on; `unread` names the components of
      # that set not read since the others were; `unobserved` those without their own reading;
      # `read_first` is the RemainingLife of the first of the others, nil where there is none; `futures` is what the
      # lives were read off, for what-if and what to measure next.
      class Forecast
        Result =
          Value.define(
            :first,
            :read_first,
            :components,
            :now,
            :rates,
            :doubted,
            :renewed,
            :changed,
            :quiet,
            :observed,
            :readings,
            :unread,
            :unobserved,
            :limit_mm,
            :futures
          ) do
            # The chance that a component is at or under a thickness today.
            def chance_below(component, limit_mm) = futures.chance_below(component, limit_mm)

            # The same in distances on the odometer (Schedule::Timeline).
            def along(timeline)
              with(
                first: timeline.along(first),
                read_first: read_first && timeline.along(read_first),
                components: components.transform_values { |life| timeline.along(life) }
              )
            end

            # Another limit, other rates or other parts (LifeSimulation#supposing), in usual km.
            def supposing(**hypotheses) = Forecast.read_off(futures.supposing(**hypotheses), self)
          end

        # Lives, thicknesses and rates from the futures; the rest as given.
        def self.read_off(futures, given)
          each = futures.components.each_with_index
          read = futures.components - given.unobserved
          given.with(
            futures:,
            limit_mm: futures.limit_mm,
            first: RemainingLife.of(futures.first_km),
            read_first: read.empty? ? nil : RemainingLife.of(futures.first_km(read)),
            components: each.to_h { |component, _| [component, RemainingLife.of(futures.life_km(component))] },
            now: each.to_h { |component, at| [component, futures.now(at)] },
            rates: each.to_h { |component, at| [component, futures.rates(at)] }
          )
        end

        DOUBT_FROM = 0.5

        # History, Prior -> Result, or nil where nothing was read
        def self.call(history, prior)
          return nil if history.sets.empty? || history.sets.last.empty?

          new(history, prior).result
        end

        def initialize(history, prior)
          @history = history
          @filter = AxleFilter.new(history, prior)
          @futures = LifeSimulation.of(@filter.hypotheses, prior, history.limit_mm, current.keys)
        end

        def result
          blank =
            Result.new(
              first: nil,
              read_first: nil,
              components: {
              },
              now: {
              },
              rates: {
              },
              doubted:,
              renewed:,
              changed: @filter.changes_supposed,
              quiet: @filter.quiet,
              observed:,
              readings: observed + unobserved.count { |component| current[component].measured },
              unread: unobserved.reject { |component| just_fitted?(current[component]) },
              unobserved:,
              limit_mm: @history.limit_mm,
              futures: @futures
            )
          self.class.read_off(@futures, blank)
        end

        private

        def current = @history.sets.last
        def observed = current.values.sum { |fitting| fitting.observations.length }
        def unobserved = @unobserved ||= current.select { |_, fitting| fitting.observations.empty? }.keys

        # Fitted, with known thickness, after the others were last read.
        def just_fitted?(fitting)
          last_km = current.values.flat_map(&:observations).map(&:distance_km).max || 0.0
          fitting.measured && fitting.fitted_km >= last_km
        end

        def renewed
          since_km = current.values.filter_map(&:fitted_km).max || 0.0
          @filter.renewals_supposed.filter_map do |km, chance|
            { before_km: km, chance: } if km > since_km && chance > DOUBT_FROM
          end
        end

        def doubted
          newest =
            current.flat_map do |component, fitting|
              fitting.observations.map { |observation| [component, observation] }
            end
          chances = @filter.wrong_chances
          newest.filter_map do |key|
            chance = chances.fetch(key, 0.0)
            { ref: key.last.ref, chance: } if chance > DOUBT_FROM
          end
        end
      end
    end
  end
end
