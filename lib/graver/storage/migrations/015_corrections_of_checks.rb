# frozen_string_literal: true

# A correction made by a zero check names the check, so that it is found without its words. Those on file are known by
# the words they were made with, for a reading of the check's own tool.
Sequel.migration do
  up do
    alter_table(:corrections) { add_foreign_key :zero_check_id, :zero_checks }
    refusing = from(:sqlite_master).where(type: "trigger", tbl_name: "corrections").select_map(%i[name sql])
    refusing.select! { |_, sql| sql.include?("BEFORE UPDATE") }
    refusing.map(&:first).each { |name| run "DROP TRIGGER #{name}" }
    run <<~SQL
      UPDATE corrections SET zero_check_id = CAST(substr(reason, 12) AS INTEGER)
      WHERE reason LIKE 'Zero check %: %' AND EXISTS (
        SELECT 1 FROM zero_checks JOIN readings ON readings.instrument_id = zero_checks.instrument_id
        WHERE zero_checks.id = CAST(substr(corrections.reason, 12) AS INTEGER)
          AND readings.id = corrections.reading_id
      )
    SQL
    refusing.map(&:last).each { |sql| run sql }
  end

  down do
    alter_table(:corrections) { drop_column :zero_check_id }
  end
end
