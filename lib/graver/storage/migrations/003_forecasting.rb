# frozen_string_literal: true

# What lies ahead of a vehicle (trips, another commute, inspections), and every forecast that was given.
Sequel.migration do
  change do
    create_table(:ahead) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      String :kind, null: false
      String :name, null: false
      String :from_on, null: false
      String :to_on
      String :distance
      String :unit
      String :wear_factor
      String :recorded_at, null: false
      String :removed_at
      index :vehicle_id
    end

    # quantiles: JSON { "0.1": km, ... } from as_of_km; afterwards: worked out later from what was known that day.
    create_table(:forecasts_given) do
      primary_key :id
      foreign_key :axle_id, :axles, null: false
      foreign_key :look_over_id, :look_overs, null: false
      String :given_on, null: false
      Float :as_of_km, null: false
      Float :limit_mm, null: false
      String :quantiles, null: false
      Float :look_again_km, null: false
      TrueClass :afterwards, null: false
      String :recorded_at, null: false
      unique %i[axle_id look_over_id]
    end
  end
end
