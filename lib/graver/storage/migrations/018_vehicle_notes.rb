# frozen_string_literal: true

# What the owner notes of a vehicle, for papers and parts counters. Nothing is worked out from it.
Sequel.migration do
  change { %i[make model year plate vin].each { |column| add_column :vehicles, column, String } }
end
