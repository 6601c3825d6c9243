# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What can be done on an axle (knowledge/rules/scope.yml). means: what that is for the steps; spares:
      # meanings of other works that it makes needless; asks, decides: brake
      # data it wants, and that an order of steps cannot do without; companions: works that go on the same axle; rotors:
      # "new" or "turn", of rotors or drums; renews: "friction" of what wears by braking; looking: nothing is done but
      # look and measure; begun_by: steps after which it stays in the job; hidden: only a separate command chooses it;
      # alike: not driven with it on one side only
      Work =
        Entry.define(
          :id,
          :label,
          :means,
          :asks,
          spares: [],
          alone: false,
          looking: false,
          answers: [],
          begun_by: [],
          hidden: false,
          alike: false,
          rotors: nil,
          renews: nil,
          decides: [],
          companions: [],
          because: nil,
          when: nil
        )
    end
  end
end
