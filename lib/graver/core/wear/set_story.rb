# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What became of one set of pads, shoes or rotors: how far it went, which of its parts went first, and how much
      # faster than the others it wore. Figures as they were read; nothing is forecast.
      #
      # - from_km: where it was fitted, or first read; known: whether its fitting is on file
      # - upto_km: where the next set went on, or it was last read
      # - first: the component that was thinnest at its last reading, or nil where none was read
      # - left_mm: what was left of that, of new_mm
      # - uneven: how many times as fast as the middle one of the others it wore, or nil where nothing tells
      # - pace: mm per 1000 km of the component that went first, or nil
      SetStory =
        Value.define(:from_km, :known, :upto_km, :first, :left_mm, :new_mm, :uneven, :pace) do
          # -> whether one part wore faster than the others by more than readings differ
          def stands_out? = !uneven.nil? && uneven.round(1) >= SetStory::UNEVEN

          # sets: [{ component => Fitting }], oldest first -> [SetStory]
          def self.all(sets)
            starts = sets.map { |set| start(set) }
            sets.each_with_index.map { |set, at| of(set, starts[at], starts[at + 1]) }
          end

          # set: { component => Fitting }; from_km; next_km: where the next one was fitted, or nil -> SetStory
          def self.of(set, from_km, next_km)
            read = set.select { |_, fitting| fitting.observations.any? }
            first, fitting = read.min_by { |_, each| last(each).thickness.value_mm }
            rates = read.transform_values { |each| rate(each) }.compact
            new(
              from_km:,
              known: set.values.any?(&:fitted_km),
              upto_km: next_km || read.values.map { |each| last(each).distance_km }.max || from_km,
              first:,
              left_mm: fitting && last(fitting).thickness.value_mm,
              new_mm: fitting && fitting.fitted_km && fitting.new.value_mm,
              uneven: uneven(rates, first),
              pace: rates[first] && (rates[first] * 1000)
            )
          end

          def self.start(set)
            set.values.filter_map { |fitting| fitting.fitted_km || fitting.observations.first&.distance_km }.min || 0.0
          end

          def self.last(fitting) = fitting.observations.last

          # mm per km between the two ends of what is known of it, or nil
          def self.rate(fitting)
            ends = [
              *(fitting.fitted_km && [[fitting.fitted_km, fitting.new]]),
              *fitting.observations.map { |seen| [seen.distance_km, seen.thickness] }
            ]
            (from, thick), (to, thin) = ends.values_at(0, -1)
            return if ends.length < 2 || to <= from

            worn_mm = thick.value_mm - thin.value_mm
            sd_mm = Math.hypot(thick.standard_uncertainty_mm, thin.standard_uncertainty_mm)
            worn_mm / (to - from) if worn_mm > 2 * sd_mm
          end

          def self.uneven(rates, first)
            others = rates.except(first).values.sort
            rates[first] / others[(others.length - 1) / 2] if rates[first] && others.any?
          end
          private_class_method :start, :last, :rate, :uneven
        end
      # How many times as fast as the others is told.
      SetStory::UNEVEN = 1.4
    end
  end
end
