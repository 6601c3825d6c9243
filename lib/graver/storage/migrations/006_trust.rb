# frozen_string_literal: true

# What a finished job left in the log; what simulated devices sent; vehicles that are samples; torque values chosen
# among
# several; half-entered look-overs that were put away.
Sequel.migration do
  up do
    alter_table(:look_overs) { add_foreign_key :job_id, :jobs }
    alter_table(:readings) { add_column :simulated, TrueClass, null: false, default: false }
    alter_table(:conditions) { add_column :simulated, TrueClass, null: false, default: false }
    alter_table(:corrections) { add_foreign_key :condition_id, :conditions }
    alter_table(:vehicles) { add_column :sample, TrueClass, null: false, default: false }
    # the owner says that this value is used, whatever other sources say
    alter_table(:brake_data) { add_column :chosen, TrueClass, null: false, default: false }

    create_table(:binned_drafts) do
      primary_key :id
      foreign_key :vehicle_id, :vehicles, null: false
      String :content, text: true, null: false
      String :recorded_at, null: false
      String :binned_at, null: false
      String :restored_at
      index :vehicle_id
    end
  end

  down do
    drop_table(:binned_drafts)
    alter_table(:brake_data) { drop_column :chosen }
    alter_table(:vehicles) { drop_column :sample }
    alter_table(:corrections) { drop_column :condition_id }
    alter_table(:conditions) { drop_column :simulated }
    alter_table(:readings) { drop_column :simulated }
    alter_table(:look_overs) { drop_column :job_id }
  end
end
