# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # How fast an axle's pads have worn, as one figure with its error: natural logarithm of mm per km. Of each part
      # the way from new to its last reading counts; the parts of a set go up and down together and count as one.
      # usual: the same as its prior has it.
      WearRate =
        Value.define(:axle, :log_rate, :log_sd, :usual) do
          # Wear of less than twice its error tells nothing about a rate.
          def self.told?(worn_mm, sd_mm) = worn_mm > 2 * sd_mm

          # axle: its name; History, Prior -> WearRate, or nil where nothing is known
          def self.of(axle, history, prior)
            sets = history.sets.filter_map { |set| of_set(set) }
            return if sets.empty?

            weights = sets.map { |_, sd| 1 / ((sd**2) + (prior.set_log_sd**2)) }
            middle = sets.zip(weights).sum { |(log_rate, _), weight| log_rate * weight } / weights.sum
            new(axle:, log_rate: middle, log_sd: Math.sqrt(1 / weights.sum), usual: prior.usual_log_rate(axle))
          end

          # { component => Fitting } -> [mean of the logarithms, error], or nil
          def self.of_set(set)
            rates = set.values.filter_map { |fitting| of_fitting(fitting) }
            rates.transpose.map { |list| list.sum / list.length } if rates.any?
          end

          def self.of_fitting(fitting)
            last = fitting.observations.last
            return unless fitting.fitted_km && last && last.distance_km > fitting.fitted_km

            worn_mm = fitting.new.value_mm - last.thickness.value_mm
            sd_mm = Math.hypot(fitting.new.standard_uncertainty_mm, last.thickness.standard_uncertainty_mm)
            [Math.log(worn_mm / (last.distance_km - fitting.fitted_km)), sd_mm / worn_mm] if told?(worn_mm, sd_mm)
          end

          private_class_method :told?, :of_set, :of_fitting
        end
    end
  end
end
