# frozen_string_literal: true

module Graver
  module Core
    module Wear
      class AxleFilter
        # What new parts change in every hypothesis.
        module FittingOn
          private

          # A new set: the axle's rate stays about the same, a position's deviation is partly kept.
          def put_on(fits, choices)
            renew(fits.keys.select { |component| @on[component] })
            fits.each { |component, start| begin_with(component, start) }
            hypotheses.forget_changes([1, *fits.keys.map { |component| who(component) }])
            choices ? choose_start(fits, choices) : share_start(fits)
            doubt_stated(fits) unless choices
          end

          def renew(again)
            return if again.empty?

            hear_of_old(again)
            hypotheses.disturb(Hypotheses::BASE, (@prior.set_log_sd**2) * again.length / @components.length)
            again.each { |component| renew_deviation(component) }
            hypotheses.begin_anew if again.length == @components.length
          end

          def begin_with(component, start)
            hypotheses.restart(hypotheses.thickness(component), start.value_mm, own_variance(start))
            @on[component] = true
            @starts[component] = start
          end

          # What a part's new thickness doesn't share with the rest of its set.
          def own_variance(start) = (start.standard_uncertainty_mm**2) - (start.shared_mm**2)

          # Sets are mostly renewed when they are due: how long one lasted tells of its rate even if it was never read.
          def hear_of_old(components)
            old = @prior.replaced
            hypotheses.observe_thinnest(
              @history.limit_mm + old[:above_mm],
              old[:sd_mm],
              components,
              wrong: old[:wrong],
              times: old[:times]
            )
          end

          # What is on file about new parts may be of another make: then all of a set are off by the same.
          def doubt_stated(fits)
            error = @prior.wrong_new
            which = hypotheses.branch([Math.log(1 - error[:share]), Math.log(error[:share] + TINY)], BRANCHED)
            mask = Numo::DFloat.cast(which)
            hypotheses.join(fits.keys.map { |component| hypotheses.thickness(component) }, mask * (error[:sd_mm]**2))
            hypotheses.tell(mask)
          end

          # One of a few nominal thicknesses, the same for the whole set: each is tried.
          def choose_start(fits, choices)
            which = hypotheses.branch([-Math.log(choices.length)] * choices.length, BRANCHED)
            middle = choices.sum / choices.length
            moved = Numo::DFloat.cast(choices)[which] - middle
            fits.each_key { |component| hypotheses.disturb(hypotheses.thickness(component), 0.0, shift: moved) }
          end

          # An unknown thickness of the whole set is one unknown, not four.
          def share_start(fits)
            shared = fits.values.map(&:shared_mm).min
            own = fits.map { |component, start| [hypotheses.thickness(component), (start.shared_mm**2) - (shared**2)] }
            own.each { |unknown, variance| hypotheses.disturb(unknown, variance) if variance.positive? }
            hypotheses.join(own.map(&:first), shared**2) if shared.positive?
          end

          # mask: 1 in the hypotheses in which the part is new, else 0
          def renew_deviation(component, mask = 1.0)
            kept = @prior.kept_deviation
            hypotheses.recall(
              hypotheses.deviation(component),
              1 - (mask * (1 - kept)),
              mask * (@prior.deviation_log_sd**2) * (1 - (kept**2)),
              mean: offset(component)
            )
          end
        end
      end
    end
  end
end
