# frozen_string_literal: true

require_relative "observation"
require_relative "../measurement/normalise"

module Graver
  module Core
    module Wear
      # Puts an axle's log entries in order: which readings belong to which set, and how thick each set was when new.
      class HistoryBuilder
        # normalise: Measurement::Normalise; new_parts: { "pad" => { typical_mm:, typical_sd_mm:, stated_sd_mm: } }.
        def initialize(normalise, new_parts)
          @normalise = normalise
          @new_parts = new_parts
        end

        # entries of one part, PartSpecification, odometer in km -> History. Entries may come in any order.
        def call(entries, specification, as_of_km:)
          ordered = entries.select { |entry| entry.part == specification.part }.sort_by { |entry| [entry.date, entry.odometer_km] }
          fittings = specification.components.to_h { |component| [component, fittings(component, ordered, specification)] }
          History.new(sets: sets(fittings), limit_mm: specification.limit_mm, as_of_km:,
                      freed_km: entries.select { |entry| entry.event == "freed" }.map(&:odometer_km))
        end

        private

        def fittings(component, entries, specification)
          mine = entries.select { |entry| concerns?(entry, component) }
          groups = mine.slice_before(&:renewal?).map { |group| fitting(group, specification) }
          groups.select { |fitting| fitting.fitted_km || fitting.observations.any? }
        end

        def concerns?(entry, component)
          side, pad = component.split("_")
          [nil, side].include?(entry.side) && [nil, pad].include?(entry.pad)
        end

        def fitting(group, specification)
          first = group.first
          Fitting.new(fitted_km: first.renewal? ? first.odometer_km : nil,
                      new: new_thickness(first, specification),
                      observations: group.select(&:thickness?).map { |entry| observation(entry, specification) })
        end

        def observation(entry, specification)
          Observation.new(distance_km: entry.odometer_km, thickness: thickness(entry, specification), trust: entry.trust, ref: entry.ref)
        end

        def thickness(entry, specification)
          return @normalise.event(entry.event) unless entry.event == "reading"

          @normalise.call(entry.reading, part(specification))
        end

        def new_thickness(entry, specification)
          return @normalise.call(entry.reading, part(specification)) if entry.renewal? && entry.reading

          known = @new_parts.fetch(specification.part)
          return Measurement::Thickness.point(specification.new_mm, known.fetch(:stated_sd_mm)) if specification.new_mm && entry.event != "resurfaced"

          Measurement::Thickness.point(specification.new_mm || known.fetch(:typical_mm), known.fetch(:typical_sd_mm), assumed: ["new_thickness"])
        end

        def part(specification)
          Measurement::Normalise::Part.new(new_mm: specification.new_mm, backing_mm: specification.backing_mm,
                                           backing_uncertainty_mm: specification.backing_uncertainty_mm)
        end

        # Counted from the newest: a corner renewed alone starts its own fitting, the others keep theirs.
        def sets(fittings)
          depth = fittings.values.map(&:length).max || 0
          (1..depth).reverse_each.map do |back|
            fittings.filter_map { |component, list| [component, list[-back]] if list.length >= back }.to_h
          end
        end
      end
    end
  end
end
