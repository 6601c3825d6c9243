# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The state of the brake at a moment of a job: the facts that hold, each at its place ([fact], [fact, lift] or
      # [fact, axle, side]).
      class BrakeState
        include Enumerable

        # The fact that everything is together but not yet tested.
        UNTRIED = "untried"

        # held: [place]
        def initialize(procedure, held = [])
          @procedure = procedure
          @held = held.to_h { |place| [place, true] }
        end

        # Yields each place that holds.
        def each(&block) = @held.each_key(&block)
        # place: [fact, ...] as of FactPlaces
        def holds?(place) = @held.key?(place)
        # -> [place] that hold
        def to_a = @held.keys

        # The state after a step is done. places: FactPlaces::Places of it -> BrakeState
        def after(places) = BrakeState.new(@procedure, (to_a | places.adds) - places.removes)

        # The state as if a step had not been done: what it refitted is off again.
        def before(places) = BrakeState.new(@procedure, (to_a - places.adds) | places.removes)

        # Places of facts that mean something is apart -> [place]
        def apart = @held.keys.select { |place| @procedure.facts[place.first]&.apart }
      end
    end
  end
end
