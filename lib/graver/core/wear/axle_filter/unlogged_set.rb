# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class AxleFilter
        # A new set that is missing from the log: what a service that finds thicker parts makes of it.
        module UnloggedSet
          private

          # Whether everything read of what was on before is thicker than it was believed to be then: pads don't grow.
          # readings: [[component, Observation]], without what went on just now
          def grown?(readings)
            return false unless readings.any? && @stretch_km.positive?

            gains =
              readings.map do |component, observation|
                thickness = observation.thickness
                (thickness.interval? ? thickness.upper_mm : thickness.value_mm) -
                  @before[hypotheses.thickness(component)]
              end
            gains.all?(&:positive?) && gains.sum / gains.length > GROWN_MM
          end

          # A set fitted on the way and never logged, most likely where the old one was due.
          def suppose_renewal(km)
            hypotheses.note_due(*due)
            which = hypotheses.branch(renewal_chances, BRANCHED, negligible: NEGLIGIBLE_CHANGE)
            mask = Numo::DFloat.cast(which)
            return unless mask.sum.positive?

            renew_where(mask)
            hypotheses.tell(mask)
            hypotheses.mark([:renewed, km], mask)
          end

          # Where on the stretch the old set was due, per hypothesis: the chance that it was at all, the mean place and
          # its variance, as shares of the stretch (a normal place, cut off at both ends).
          def due
            worn = (hypotheses.expected_rates * on[true, :new]).sum(axis: 0) * (@stretch_km / @on.length)
            place = (thinnest + worn - @history.limit_mm - @prior.replaced[:above_mm]) / worn
            spread = DUE_TIMES * @prior.replaced[:sd_mm] / worn
            mass, shift, shrink = hypotheses.cut_off(place, spread, 0.0, 1.0)
            [mass, place + (spread * shift), spread * spread * shrink]
          end

          # What is left of the thinnest part, per hypothesis.
          def thinnest
            Numo::DFloat.vstack(@on.keys.map { |one| hypotheses.mean[hypotheses.thickness(one), true] }).min(axis: 0)
          end

          # The logarithms of the chances of no new set and of one [case, hypothesis]: more where the old one was due.
          def renewal_chances
            often = (hypotheses.due_chance * @prior.unlogged[:when_due]) + @prior.unlogged[:share]
            Numo::DFloat.vstack([NUMBERS.log(1 - often), NUMBERS.log(often)])
          end

          def renew_where(mask)
            hypotheses.disturb(Hypotheses::BASE, @prior.set_log_sd**2, mask:)
            hypotheses.begin_anew(mask)
            @on.each_key { |component| renew_part(component, mask) }
            shared = @starts.values.map(&:shared_mm).min
            hypotheses.join(@on.keys.map { |one| hypotheses.thickness(one) }, mask * (shared**2))
            hypotheses.forget_changes([1, *@on.keys.map { |one| who(one) }], mask)
            wear_since(mask)
          end

          # From where the new set most likely went on.
          def wear_since(mask)
            stretch = hypotheses.expected_rates * (mask * @stretch_km)[:new, true]
            wear(mask * (1 - hypotheses.due_place.clip(0.0, 1.0)) * @stretch_km)
            hypotheses.spread_wear(stretch * NUMBERS.sqrt(hypotheses.due_variance)[:new, true], on)
          end

          def renew_part(component, mask)
            start = @starts.fetch(component)
            renew_deviation(component, mask)
            hypotheses.recall(
              hypotheses.thickness(component),
              1 - mask,
              mask * own_variance(start),
              mean: start.value_mm
            )
          end
        end
      end
    end
  end
end
