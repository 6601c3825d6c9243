# frozen_string_literal: true

# Zero checks that were a slip of the pen: they stay on file, and count no more.
Sequel.migration do
  up do
    create_table(:withdrawn_checks) do
      foreign_key :zero_check_id, :zero_checks, primary_key: true
      String :recorded_at, null: false
    end
    run "CREATE TRIGGER withdrawn_checks_revised_by_insert AFTER INSERT ON withdrawn_checks " \
        "BEGIN UPDATE household_revision SET revision = revision + 1; END"
  end

  down { drop_table(:withdrawn_checks) }
end
