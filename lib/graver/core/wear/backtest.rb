# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # How a forecast did, once the truth is known: where the first pad of the set met the limit.
      #
      # The end is read off the log: the first reading at or under the limit, and the one before it of that position (or
      # when it was fitted); in between wear is taken as even. A set renewed before its end tells only that it would
      # have lasted longer.
      module Backtest
        # km: odometer at which the limit was met, or nil; at_least_km: it lasted to here without meeting it; replaced:
        # the set was renewed there, and how long it would have lasted stays unknown.
        End = Value.define(:km, :at_least_km, :replaced)
        # was_km: from where the forecast was given, nil where the limit was not met; at_least_km: how far it has
        # lasted; replaced: before it met the limit; interval_covered: whether the 80 % band held; late: whether "look
        # again" came late; both nil where the limit was not met: a set that is on, or went early, proves neither.
        Verdict = Value.define(:was_km, :at_least_km, :replaced, :interval_covered, :late)

        module_function

        # set: { component => Fitting }, its limit in mm, until_km: where it was last known to be on, replaced: renewed
        # there -> End
        def end_of(set, limit_mm, until_km, replaced: false)
          km = set.values.filter_map { |fitting| crossing(fitting, limit_mm) }.min
          End.new(km:, at_least_km: until_km, replaced: km.nil? && replaced)
        end

        # quantiles: { 0.1 => km, ... } from as_of_km; look_again_km from there too -> Verdict, or nil for a forecast
        # that was given when the limit had been met already.
        def judge(quantiles, look_again_km, as_of_km, ending)
          return if ending.km && ending.km <= as_of_km

          was = ending.km && (ending.km - as_of_km)
          Verdict.new(
            was_km: was,
            at_least_km: [ending.at_least_km - as_of_km, 0.0].max,
            replaced: ending.replaced,
            interval_covered: was&.between?(quantiles.fetch(0.1), quantiles.fetch(0.9)),
            late: was && was < look_again_km
          )
        end

        def crossing(fitting, limit_mm)
          points = [
            *(fitting.fitted_km && [[fitting.fitted_km, fitting.new.value_mm]]),
            *fitting.observations.map { |seen| [seen.distance_km, seen.thickness.value_mm] }
          ]
          points.each_cons(2) do |(from, before), (to, after)|
            next unless after <= limit_mm

            return before <= limit_mm ? from : from + ((to - from) * (before - limit_mm) / (before - after))
          end
          nil
        end

        private_class_method :crossing
      end
    end
  end
end
