# frozen_string_literal: true

module Graver
  module Storage
    # One mark (or figure) of an inspection, as it counts now. axle_id, side, face are nil where they do not apply.
    Condition =
      Core::Value.define(:id, :axle_id, :side, :face, :item, :mark, :value, :simulated, :void, :entered, :corrections)
  end
end
