# frozen_string_literal: true

module Graver
  module LogFormat
    # The columns of the open log, and those Graver adds so that its own log comes back exactly as entered.
    module Columns
      OPEN = %w[date odometer odometer_unit axle side part pad event method value upper unit overall note].freeze
      # places: every place as entered, one after the other; entered: value|unit|method where they differ from the open
      # columns; doubt: the question a reading was kept against.
      ADDED = %w[places entered doubt].freeze
      ALL = (OPEN + ADDED).freeze
      # Methods the open log has no word for, and their replacements.
      METHODS = { "vernier" => "caliper", "stated" => "caliper" }.freeze
      EVENTS = { "metal" => %w[reading visual 0 mm] }.freeze
      PLACE_SEPARATOR = " / "
    end
  end
end
