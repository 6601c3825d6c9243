# frozen_string_literal: true

module Graver
  # How texts are set, whatever they say.
  module Typography
    NO_BREAK = "\u00A0"
    # Units that stay on the line of their figure.
    UNITS = %r{mm|km/h|km|mi|mph|ml|N·m|lbf·ft|lbf·in|°C|°F|kg|kB|MB|MPa|h|min|s|%|thou}
    BEFORE_UNIT = /(?<=\d) (?=(?:#{UNITS})(?![[:alpha:]·]))/

    module_function

    # Keeps every figure of a text on the line of its unit.
    def tied(text) = text.gsub(BEFORE_UNIT, NO_BREAK)

    # A label inside a sentence: "New pads" -> "new pads".
    def inside(label) = label.to_s.sub(/\A[[:upper:]](?![[:upper:]])/, &:downcase)

    # "left piston: wet" -> "Left piston: wet."
    def sentence(text) = text.to_s.then { |said| "#{said[0].upcase}#{said[1..].chomp(".")}." }
  end
end
