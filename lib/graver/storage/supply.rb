# frozen_string_literal: true

module Graver
  module Storage
    # Numbers as entered; kind: "part", "consumable" or "tool"; item: the part, consumable or tool it is one of;
    # axle_id nil: for any.
    Supply =
      Core::Value.define(
        :id,
        :kind,
        :item,
        :axle_id,
        :name,
        :number,
        :supplier,
        :price,
        :lead_days,
        :on_shelf,
        :compound,
        :thickness,
        :diameter,
        :unit,
        :retired
      )
  end
end
