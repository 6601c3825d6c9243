# frozen_string_literal: true

module Graver
  module Core
    module BedIn
      # Stops of the same kind, one after the other: from and to a speed, with a rest in which the brakes cool
      Series = Value.define(:stops, :from_kmh, :to_kmh, :rest_seconds)
    end
  end
end
