# frozen_string_literal: true

require_relative "earlier_lives"
require_relative "generic_filter"
require_relative "straight_line_life"

module Benchmarks
  # What others would say of a simulated log: { probability => km } of the straight line a spreadsheet draws (or,
  # without a reading, the lives of earlier sets), of the plain particle filter, and of those lives alone.
  class Yardsticks
    PROBABILITIES = Graver::Core::Wear::RemainingLife::PROBABILITIES

    # library: Graver::Knowledge::Library
    def initialize(library)
      @library = library
    end

    def line(log)
      return own(log) if log.points.length < 2

      StraightLineLife.call(log.points, log.as_of_km, log.limit_mm)
    end

    # -> nil without earlier sets
    def own(log) = log.earlier_km.any? ? EarlierLives.call(log.earlier_km, log.driven_km) : nil

    def filter(log, seed)
      lives = GenericFilter.call(history(log), @library.prior(log.part), seed).sort.to_a
      PROBABILITIES.to_h { |probability| [probability, lives[(probability * (lives.length - 1)).round]] }
    end

    # -> Core::Wear::History, of what was written down
    def history(log)
      specification = Graver::LogFormat::Specification.parse(log.specification)
      reader = Graver::LogFormat::LogReader.new(@library.normalise, specification)
      entries = reader.call(log.csv).by_axle.fetch("front", [])
      part = specification.parts("front", %w[left right]).fetch(log.part)
      @library.history_builder.call(entries, part, as_of_km: log.as_of_km)
    end
  end
end
