# frozen_string_literal: true

# What stays open at a vehicle until somebody closes it: wear without a cause, a missing plug, a lead found unclipped.
revised = "UPDATE household_revision SET revision = revision + 1"
of_vehicle =
  "INSERT INTO vehicle_revisions VALUES (NEW.vehicle_id, 1) " \
    "ON CONFLICT (vehicle_id) DO UPDATE SET revision = revision + 1"

Sequel.migration do
  up do
    create_table(:open_ends) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false, index: true
      foreign_key :axle_id, :axles
      String :side
      String :text, text: true, null: false
      String :about
      String :look_on
      String :noted_on, null: false
      String :recorded_at, null: false
      String :closed_on
      String :closed_because, text: true
    end
    %w[INSERT UPDATE].each do |change|
      run "CREATE TRIGGER open_ends_of_vehicle_by_#{change.downcase} AFTER #{change} ON open_ends " \
          "BEGIN #{revised}; #{of_vehicle}; END"
    end
  end

  down do
    %w[insert update].each { |change| run "DROP TRIGGER open_ends_of_vehicle_by_#{change}" }
    drop_table(:open_ends)
  end
end
