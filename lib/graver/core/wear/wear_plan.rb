# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What following one component through its readings needs that does not depend on the wear rate: where it starts,
      # the distances between readings, and how differently it may have worn then from the rate now.
      class WearPlan
        # Changes further back than this many readings matter little for the rate now.
        LATEST_CHANGES = 3

        # suppositions: [[prior weight, [relative variance per stretch, and one more for the stretch up to now]], ...],
        # the first being that the component never changed its rate.
        attr_reader :start_mm, :start_variance, :readings, :distances_km, :suppositions

        def initialize(fitting, prior, limit_mm:, as_of_km:, freed_km:)
          @prior = prior
          @as_of_km = as_of_km
          @freed_km = freed_km
          @readings = fitting.observations
          start(fitting, limit_mm)
          @stretches = stretches(fitting)
          @distances_km = @stretches.map { |from, to| [to - from, 0.0].max }
          @suppositions = suppose
        end

        private

        # With no known fitting the part was somewhere between new and its limit at the first reading.
        def start(fitting, limit_mm)
          thickness = fitting.new
          if fitting.fitted_km
            @start_mm = thickness.value_mm
            @start_variance = thickness.standard_uncertainty_mm**2
          else
            @start_mm = (thickness.value_mm + limit_mm) / 2.0
            @start_variance = [(thickness.value_mm - limit_mm).abs, 1.0].max**2
          end
        end

        # [[from km, to km], ...]: up to each reading, and from the last to now. A reading at an odometer that was passed
        # already adds no distance.
        def stretches(fitting)
          position = fitting.fitted_km || readings.first&.distance_km || @as_of_km
          places = [*readings.map(&:distance_km), @as_of_km]
          places.map { |place| [position, place].tap { position = [position, place].max } }
        end

        def suppose
          changes = possible_changes
          return [[1.0, relative_variances(nil)]] if changes.empty?

          share = @prior.change_share / changes.length
          [[1 - @prior.change_share, relative_variances(nil)], *changes.map { |km| [share, relative_variances(km)] }]
        end

        def possible_changes
          return [] if @prior.change_share.zero?

          (readings.map(&:distance_km).uniq[0...-1] || []).last(LATEST_CHANGES)
        end

        def relative_variances(changed_km) = @stretches.map { |from, to| relative_variance(from, to, changed_km) }

        def relative_variance(from_km, to_km, changed_km)
          lag_km = [@as_of_km - ((from_km + to_km) / 2.0), 0.0].max
          variance = (@prior.drift_log_sd**2) * (1 - Math.exp(-lag_km / @prior.drift_km))
          variance += @prior.change_log_sd**2 if changed_km && to_km <= changed_km
          variance + (@freed_km.count { |km| km >= to_km } * (@prior.freed_log_sd**2))
        end
      end
    end
  end
end
