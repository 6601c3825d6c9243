# frozen_string_literal: true

# What drives a vehicle: one that brakes with its motor wears its pads otherwise.
Sequel.migration { change { add_column :vehicles, :drive, String, null: false, default: "combustion" } }
