# frozen_string_literal: true

# Instruments, conditions, doubts, corrections and imports. Like readings they are evidence: a correction stands beside
# what it corrects. A half-entered look-over is now one of the whole vehicle.
Sequel.migration do
  evidence = %i[zero_checks conditions doubts corrections]

  up do
    create_table(:instruments) do
      primary_key :id
      String :name, null: false
      String :method, null: false
      String :unit, null: false
      String :least
      String :most
      String :resolution
      String :uncertainty
      String :retired_at
      String :recorded_at, null: false
    end

    create_table(:zero_checks) do
      primary_key :id
      foreign_key :instrument_id, :instruments, null: false
      String :date, null: false
      String :reference, null: false
      String :read, null: false
      String :unit, null: false
      String :recorded_at, null: false
      index :instrument_id
    end

    create_table(:imports) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      String :name, null: false
      String :digest, null: false
      String :content, text: true, null: false
      String :mapping, text: true
      String :result, text: true
      String :recorded_at, null: false
      String :done_at
      String :undone_at
      index :vehicle_id
    end

    alter_table(:look_overs) { add_foreign_key :import_id, :imports }
    alter_table(:readings) { add_foreign_key :instrument_id, :instruments }

    # What was asked of a reading, about which value, and what the owner answered.
    create_table(:doubts) do
      primary_key :id
      foreign_key :reading_id, :readings, null: false
      String :code, null: false
      String :question, null: false
      String :value
      String :unit
      String :answer, null: false
      index :reading_id
    end

    create_table(:conditions) do
      primary_key :id
      foreign_key :look_over_id, :look_overs, null: false
      foreign_key :axle_id, :axles
      String :side
      String :face
      String :item, null: false
      String :mark
      String :value
      index :look_over_id
    end

    # change: JSON of the fields that are different now, or {"void": true}. The newest one of a field counts.
    create_table(:corrections) do
      primary_key :id
      foreign_key :look_over_id, :look_overs, null: false
      foreign_key :reading_id, :readings
      String :change, text: true, null: false
      String :reason, null: false
      String :recorded_at, null: false
      index :look_over_id
    end

    create_table(:look_over_drafts) do
      foreign_key :vehicle_id, :vehicles, primary_key: true
      String :content, text: true, null: false
      Integer :revision, null: false
      String :recorded_at, null: false
    end

    create_table(:preferences) do
      String :key, primary_key: true
      String :value, text: true, null: false
    end

    drop_table(:drafts)

    evidence.each do |table|
      %w[UPDATE DELETE].each do |deed|
        run "CREATE TRIGGER #{table}_no_#{deed.downcase} BEFORE #{deed} ON #{table} " \
            "BEGIN SELECT RAISE(ABORT, '#{table} are evidence: add a row instead'); END"
      end
    end
  end

  down do
    create_table(:drafts) do
      foreign_key :axle_id, :axles, primary_key: true
      String :content, text: true, null: false
      Integer :revision, null: false
      String :recorded_at, null: false
    end
    drop_table(:preferences, :look_over_drafts, :corrections, :conditions, :doubts, :zero_checks)
    alter_table(:readings) { drop_column :instrument_id }
    alter_table(:look_overs) { drop_column :import_id }
    drop_table(:imports, :instruments)
  end
end
