# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Schedule
      # How far to drive before the next inspection, and when to do the job, by what each is expected to cost.
      # Everything is counted in kilometres driven below the limit:
      #
      # - an inspection costs as much trouble as so many of them (the owner's choice);
      # - a kilometre below the limit counts once, one on pads that are nearly gone many times;
      # - pads renewed early throw material away.
      #
      # Whoever knows the end only roughly has to renew early or late: that costs in proportion to the spread of the
      # life (the newsvendor's rule). The next look is where its trouble and the risk until then cost least per
      # kilometre. An inspection narrows the spread, the later the more; where one more saves less than it costs, the
      # job comes next.
      module NextLook
        # - inspection_km: what an inspection is worth, km below the limit
        # - saved_mm: material that is worth another inspection
        # - grave: [[mm, times], ...] how often a kilometre counts on less than that
        # - reading_mm: standard uncertainty of what the inspection will read
        Costs = Value.define(:inspection_km, :saved_mm, :grave, :reading_mm)
        # look_km, job_km: distances from now; look_first: whether to look before the job; below_km: expected distance
        # below the limit until the next look
        Decision =
          Value.define(:look_km, :job_km, :look_first, :below_km) do
            # Distance to whatever comes first.
            def next_km = look_first ? [look_km, job_km].min : job_km

            # None of it further than this.
            def no_later(km) = with(look_km: [look_km, km].min, job_km: [job_km, km].min)

            # The same in distances on the odometer (Timeline).
            def along(timeline)
              with(look_km: timeline.actual_km(look_km), job_km: timeline.actual_km(job_km))
            end
          end

        # An inspection usually leaves so much of the spread; no plan counts on more than so many.
        LEFT = 0.45
        MOST_LOOKS = 8
        # Nothing waits until the limit is likelier passed than this.
        MOST_CHANCE = 0.15
        POINTS = 48
        NEAREST_KM = 100.0
        # No further than this share of the lives is met.
        FURTHEST = 0.9

        module_function

        # Wear::LifeSimulation, Costs -> Decision
        def call(futures, costs)
          lives, rates = futures.first_km, first_rates(futures)
          places = distances(lives)
          below = over(places, lives)
          risk = below + graver(places, lives, rates, futures.limit_mm, costs)
          early = costs.inspection_km * rates.mean / costs.saved_mm
          look = risk + costs.inspection_km
          job = risk + ((lives.mean - places + below) * early)
          found = decide(places, below, look, look + after(futures, places, early, costs), job)
          found.no_later(lives.sort[(lives.length * MOST_CHANCE).floor])
        end

        # What is left to pay after a look at each place.
        def after(futures, places, early, costs)
          spreads = spreads_after(places, futures.first_km, thinnest(futures), futures.limit_mm, costs.reading_mm)
          Numo::DFloat.cast(spreads.to_a.map { |km| from_spread(km, early, costs.inspection_km) })
        end

        # What thin pads add.
        def graver(distances, lives, rates, limit_mm, costs)
          counted = 1
          costs
            .grave
            .sum(distances * 0.0) do |mm, times|
              more, counted = times - counted, times
              over(distances, lives + ([limit_mm - mm, 0.0].max / rates)) * more
            end
        end

        def decide(distances, below, until_look, look, job)
          first, due = (until_look / distances).min_index, job.min_index
          Decision.new(
            look_km: at(distances, first),
            job_km: at(distances, due),
            look_first: look[first] < job[due],
            below_km: below[first]
          )
        end

        # What a spread of the life costs from then on: its own price, or that of so many more inspections.
        def from_spread(spread_km, early, inspection_km)
          price = (1 + early) * Wear::Normal.density(Wear::Normal.quantile(early / (1 + early)), 0.0, 1.0)
          (0..MOST_LOOKS).map { |looks| (inspection_km * looks) + (price * spread_km * (LEFT**looks)) }.min
        end

        # The spread of what is left of the life once a reading is taken after each distance (a linear regression over
        # the futures; wear is taken as even from now to the limit).
        def spreads_after(distances, lives, thickness_mm, limit_mm, reading_mm)
          left = (lives[:new, true] - distances[true, :new]).clip(0.0, nil)
          gone = distances[true, :new] / lives.clip(1.0, nil)[:new, true]
          mm = (1 - gone) * (thickness_mm - limit_mm)[:new, true]
          left -= left.mean(axis: 1)[true, :new]
          mm -= mm.mean(axis: 1)[true, :new]
          tied = (left * mm).mean(axis: 1)
          rest = (left * left).mean(axis: 1) - (tied * tied / ((mm * mm).mean(axis: 1) + (reading_mm**2)))
          Numo::DFloat::Math.sqrt(rest.clip(0.0, nil))
        end

        # The nearest place stands for now.
        def at(distances, place) = place.zero? ? 0.0 : distances[place]

        # Where to decide, evenly in the logarithm.
        def distances(lives)
          furthest = [lives.sort[(lives.length * FURTHEST).floor], 2 * NEAREST_KM].max
          Numo::DFloat
            .new(POINTS)
            .seq
            .then do |steps|
              Numo::DFloat::Math.exp(steps * (Math.log(furthest / NEAREST_KM) / (POINTS - 1))) * NEAREST_KM
            end
        end

        # Mean distance by which each of these is beyond the places: [distance]
        def over(distances, places) = (distances[true, :new] - places[:new, true]).clip(0.0, nil).mean(axis: 1)

        # Wear now, mm per km, of the component that meets the limit first in each future.
        def first_rates(futures)
          Numo::DFloat::Math.exp(futures.log_rates.flatten[futures.lives_km.min_index(axis: 0)])
        end
        # Its thickness now, mm.
        def thinnest(futures) = futures.thickness_mm.flatten[futures.lives_km.min_index(axis: 0)]

        private_class_method :at, :graver, :decide, :distances, :over, :first_rates, :thinnest, :spreads_after, :after
        private_class_method :from_spread
      end
    end
  end
end
