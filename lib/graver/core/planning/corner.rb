# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # One wheel's brake and what is done to it. side: "left", "right", or "both" where two discs are worked as one.
      Corner = Value.define(:axle, :side, :configuration)
    end
  end
end
