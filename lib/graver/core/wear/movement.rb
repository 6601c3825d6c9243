# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # How the pins and the piston of a corner moved when somebody tried them.
      #
      # - odometer_km: where that was
      # - side: "left" or "right"
      # - how: a key of Prior#movement ("free", "stiff", "seized")
      Movement = Value.define(:odometer_km, :side, :how)
    end
  end
end
