# frozen_string_literal: true

module Graver
  module Storage
    # sides: ["left", "right"], or the one that carries a disc.
    Axle = Core::Value.define(:id, :vehicle_id, :name, :sides)
  end
end
