# frozen_string_literal: true

module Graver
  module Storage
    # One row as it counts now; several places of one position are several rows. entered: the value first entered;
    # simulated: a simulated device sent it; flags: [Flag]; corrections: [Correction], oldest first.
    ReadingRow =
      Core::Value.define(
        :id,
        :axle_id,
        :event,
        :part,
        :side,
        :pad,
        :place,
        :method,
        :value,
        :upper,
        :unit,
        :overall,
        :doubt,
        :instrument_id,
        :simulated,
        :void,
        :entered,
        :flags,
        :corrections
      )
  end
end
