# frozen_string_literal: true

module Graver
  module Core
    module Wear
      class AxleFilter
        # What the readings of one service change in every hypothesis.
        module AtAService
          private

          # Readings of one day by one eye or one gauge share an error: each such group is processed together.
          def read(epoch)
            suppose_renewal(epoch) if grown?(epoch.readings)
            epoch
              .readings
              .group_by { |_, observation| observation.thickness.group }
              .each_value do |readings|
                suppose_errors(readings)
                readings.each { |component, observation| observe(component, observation) }
                forget_errors
              end
            hypotheses.prune(MERGED)
            hypotheses.merge
            hypotheses.prune(KEPT)
          end

          def observe(component, observation)
            share = @prior.wrong[:share] * (observation.affirmed ? @prior.affirmed_times : 1)
            wrong = @prior.wrong.merge(share: 1 - ((1 - share) * observation.trust))
            chance = hypotheses.observe(component, observation.thickness.own, wrong)
            off = hypotheses.off
            hypotheses.mark([component, observation], chance + off - (chance * off))
            hypotheses.prune(WHILE_READING)
          end

          # All right; all with one error; all with their plates. The usual shared error comes on top. If one of them was
          # affirmed, the tool was checked.
          def suppose_errors(readings)
            errors = [
              @prior.wrong_service,
              (@prior.plate_service if plate?(readings)),
              (@prior.lip_service if lip?(readings))
            ].compact
            times = readings.any? { |_, observation| observation.affirmed } ? @prior.affirmed_times : 1
            errors = errors.map { |error| error.merge(share: error[:share] * times) }
            shares = [1 - errors.sum { |error| error[:share] }, *errors.map { |error| error[:share] }]
            which =
              hypotheses.branch(shares.map { |share| Math.log(share + 1e-12) }, BRANCHED, negligible: NEGLIGIBLE_CHANGE)
            errors.each_with_index do |error, at|
              hypotheses.disturb(
                Hypotheses::BIAS,
                error[:sd_mm]**2,
                shift: error[:mm] || 0.0,
                mask: Numo::DFloat.cast(which.eq(at + 1))
              )
            end
            shared = readings.sum { |_, observation| observation.thickness.shared_mm**2 } / readings.length
            hypotheses.share_error(Math.sqrt(shared))
            hypotheses.tell(Numo::DFloat.cast(which))
            hypotheses.mark_biased_service(Numo::DFloat.cast(which.gt(0)))
          end

          # Whether the tool may have rested on the lip that wear leaves at the edge.
          def lip?(readings)
            readings.any? { |_, observation| @prior.lip_service[:methods].include?(Array(observation.thickness.group).first) }
          end

          def plate?(readings)
            return false unless @prior.plate_service[:mm]

            expected = (hypotheses.mean * hypotheses.weights[:new, true]).sum(axis: 1)
            readings.any? do |component, observation|
              observation.thickness.value_mm - expected[hypotheses.thickness(component)] > PLATE_GAP_MM
            end
          end

          # Whether everything read there is thicker than it was believed to be before the stretch: material only goes.
          def grown?(readings)
            return false unless @before && @stretch_km.positive?

            gains =
              readings.map do |component, observation|
                thickness = observation.thickness
                (thickness.interval? ? thickness.upper_mm : thickness.value_mm) -
                  @before[hypotheses.thickness(component)]
              end
            gains.all?(&:positive?) && gains.sum / gains.length > GROWN_MM
          end

          # A set fitted on the way that nobody wrote down, most likely where the old one was due.
          def suppose_renewal(epoch)
            hypotheses.note_due(*due)
            which = hypotheses.branch(renewal_chances, BRANCHED, negligible: NEGLIGIBLE_CHANGE)
            mask = Numo::DFloat.cast(which)
            return unless mask.sum.positive?

            renew_where(mask)
            hypotheses.tell(mask)
            hypotheses.mark([:renewed, epoch.km], mask)
          end

          # Where on the stretch the old set was due, per hypothesis: the chance that it was at all, the mean place and
          # its variance, as shares of the stretch (a normal place, cut off at both ends).
          def due
            worn = (hypotheses.expected_rates * on[true, :new]).sum(axis: 0) * (@stretch_km / @on.length)
            thinnest = Numo::DFloat.vstack(@on.keys.map { |one| hypotheses.mean[hypotheses.thickness(one), true] })
            left = thinnest.min(axis: 0) + worn - @history.limit_mm - @prior.replaced[:above_mm]
            spread = DUE_TIMES * @prior.replaced[:sd_mm] / worn
            mass, shift, shrink = hypotheses.cut_off(left / worn, spread, 0.0, 1.0)
            [mass, (left / worn) + (spread * shift), spread * spread * shrink]
          end

          # The logarithms of the chances of no new set and of one [case, hypothesis]: more where the old one was due.
          def renewal_chances
            often = (hypotheses.due_chance * @prior.unlogged[:when_due]) + @prior.unlogged[:share]
            Numo::DFloat.vstack([NUMBERS.log(1 - often), NUMBERS.log(often)])
          end

          def renew_where(mask)
            parts = @on.keys
            hypotheses.disturb(Hypotheses::BASE, @prior.set_log_sd**2, mask:)
            parts.each { |component| renew_part(component, mask) }
            hypotheses.join(parts.map { |one| hypotheses.thickness(one) }, mask * (@starts.values.map(&:shared_mm).min**2))
            hypotheses.forget_changes([1, *parts.map { |one| who(one) }], mask)
            place = hypotheses.due_place.clip(0.0, 1.0)
            rates = hypotheses.expected_rates * (mask * @stretch_km)[:new, true]
            wear(mask * (1 - place) * @stretch_km)
            hypotheses.spread_wear(rates * NUMBERS.sqrt(hypotheses.due_variance)[:new, true], on)
          end

          def renew_part(component, mask)
            start = @starts.fetch(component)
            kept = @prior.kept_deviation
            hypotheses.recall(
              hypotheses.deviation(component),
              1 - (mask * (1 - kept)),
              mask * (@prior.deviation_log_sd**2) * (1 - (kept**2)),
              mean: offset(component)
            )
            variance = (start.standard_uncertainty_mm**2) - (start.shared_mm**2)
            hypotheses.recall(hypotheses.thickness(component), 1 - mask, mask * variance, mean: start.value_mm)
          end

          def forget_errors = hypotheses.recall(Hypotheses::BIAS, 0.0, 0.0)
        end
      end
    end
  end
end
