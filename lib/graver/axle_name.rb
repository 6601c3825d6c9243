# frozen_string_literal: true

module Graver
  # An axle's name in front of what is said of it; the only axle of a trailer needs none.
  module AxleName
    ONLY = "single"

    module_function

    # The name where it is needed, or nil.
    def word(name) = name == ONLY ? nil : name

    # "rear", "left inner pad" -> "Rear left inner pad"; between: what stands between them
    def before(name, text, between: " ")
      name == ONLY ? text.sub(/\A[[:alpha:]]/, &:upcase) : "#{name.capitalize}#{between}#{text}"
    end

    # "rear", "new pads" -> "Rear: new pads"
    def tells(name, text) = before(name, text, between: ": ")
  end
end
