# frozen_string_literal: true

# The household: vehicles, their axles, what is known and what was read. Readings, look-overs and brake data are
# evidence: rows are added and never changed or removed, and the database itself refuses to.
Sequel.migration do
  evidence = %i[brake_data look_overs readings job_events]

  up do
    create_table(:vehicles) do
      primary_key :id
      String :name, null: false
      String :kind, null: false
      String :distance_unit, null: false
      String :archived_at
      String :recorded_at, null: false
    end

    create_table(:axles) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      String :name, null: false
      String :sides, null: false
      index %i[vehicle_id name], unique: true
    end

    create_table(:brake_data) do
      primary_key :id
      foreign_key :axle_id, :axles, null: false
      String :key, null: false
      # nil: "taken back, not known any more"
      String :value
      String :unit
      String :source
      String :recorded_at, null: false
      index %i[axle_id key]
    end

    create_table(:look_overs) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      String :date, null: false
      String :odometer_value, null: false
      String :odometer_unit, null: false
      Float :odometer_km, null: false
      String :note
      String :recorded_at, null: false
      index %i[vehicle_id date]
    end

    create_table(:readings) do
      primary_key :id
      foreign_key :look_over_id, :look_overs, null: false
      foreign_key :axle_id, :axles
      String :event, null: false
      String :part, null: false
      String :side
      String :pad
      Integer :place, null: false, default: 1
      String :method
      String :value
      String :upper
      String :unit
      TrueClass :overall, null: false, default: false
      # the question that was put to the owner, who kept the reading all the same
      String :doubt
      index :axle_id
      index :look_over_id
    end

    create_table(:drafts) do
      foreign_key :axle_id, :axles, primary_key: true
      String :content, text: true, null: false
      Integer :revision, null: false
      String :recorded_at, null: false
    end

    create_table(:jobs) do
      primary_key :id
      foreign_key :axle_id, :axles, null: false
      String :procedure, null: false
      String :recorded_at, null: false
      index :axle_id
    end

    create_table(:job_events) do
      primary_key :id
      foreign_key :job_id, :jobs, null: false
      String :kind, null: false
      String :value
      String :recorded_at, null: false
      index :job_id
    end

    evidence.each do |table|
      %w[UPDATE DELETE].each do |deed|
        run "CREATE TRIGGER #{table}_no_#{deed.downcase} BEFORE #{deed} ON #{table} " \
            "BEGIN SELECT RAISE(ABORT, '#{table} are evidence: add a row instead'); END"
      end
    end
  end

  down do
    drop_table(:job_events, :jobs, :drafts, :readings, :look_overs, :brake_data, :axles, :vehicles)
  end
end
