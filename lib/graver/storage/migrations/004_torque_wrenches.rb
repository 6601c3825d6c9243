# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:torque_wrenches) do
      primary_key :id
      String :name, null: false
      String :unit, null: false
      String :least, null: false
      String :most, null: false
      String :graduation, null: false
      String :length_mm
      String :calibrated_on
      String :retired_at
      String :recorded_at, null: false
    end
  end
end
