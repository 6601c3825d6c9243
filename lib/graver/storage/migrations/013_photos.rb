# frozen_string_literal: true

# Photos taken at a step of a job or of a look-over: what they show lies in files beside this one, named by its digest.
Sequel.migration do
  change do
    create_table(:photos) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      foreign_key :job_id, :jobs
      foreign_key :look_over_id, :look_overs
      String :step
      String :key
      String :digest, null: false
      Integer :width, null: false
      Integer :height, null: false
      String :taken_on, null: false
      String :recorded_at, null: false
      String :removed_at
      index :vehicle_id
    end
  end
end
