# frozen_string_literal: true

# One number a vehicle that rises with every change of what its answers are worked out from, and one (vehicle 0) for
# what all of them share; answers worked out before are kept beside the numbers they were worked out at. Readings, marks
# and doubts come with a look-over and need no trigger of their own; forecasts given are on no kept page.
of_axle = "(SELECT vehicle_id FROM axles WHERE id = NEW.axle_id)"
of_look_over = "(SELECT vehicle_id FROM look_overs WHERE id = NEW.look_over_id)"
of_job = "(SELECT axles.vehicle_id FROM jobs JOIN axles ON axles.id = jobs.axle_id WHERE jobs.id = NEW.job_id)"
whose = {
  "vehicles" => [%w[INSERT UPDATE], "NEW.id"],
  "look_overs" => [%w[INSERT], "NEW.vehicle_id"],
  "corrections" => [%w[INSERT], of_look_over],
  "imports" => [%w[UPDATE], "NEW.vehicle_id"],
  "brake_data" => [%w[INSERT], of_axle],
  "jobs" => [%w[INSERT], of_axle],
  "job_events" => [%w[INSERT], of_job],
  "ahead" => [%w[INSERT UPDATE], "NEW.vehicle_id"],
  "instruments" => [%w[INSERT UPDATE], "0"],
  "preferences" => [%w[INSERT UPDATE], "0"]
}

Sequel.migration do
  up do
    create_table(:vehicle_revisions) do
      Integer :vehicle_id, primary_key: true
      Integer :revision, null: false
    end
    from(:vehicle_revisions).insert(vehicle_id: 0, revision: 1)
    from(:vehicle_revisions).insert(%i[vehicle_id revision], from(:vehicles).select(:id, 1))

    create_table(:kept_answers) do
      String :kind, null: false
      Integer :vehicle_id, null: false
      String :worked_out_at, null: false
      String :content, text: true, null: false
      primary_key %i[kind vehicle_id]
    end

    %w[readings doubts conditions].product(%w[insert update delete]).each do |table, change|
      run "DROP TRIGGER #{table}_revised_by_#{change}"
    end
    whose.each do |table, (changes, vehicle)|
      changes.each do |change|
        run "CREATE TRIGGER #{table}_of_vehicle_by_#{change.downcase} AFTER #{change} ON #{table} BEGIN " \
            "INSERT INTO vehicle_revisions VALUES (#{vehicle}, 1) " \
            "ON CONFLICT (vehicle_id) DO UPDATE SET revision = revision + 1; END"
      end
    end
  end

  down do
    whose.each do |table, (changes, _)|
      changes.each { |change| run "DROP TRIGGER #{table}_of_vehicle_by_#{change.downcase}" }
    end
    drop_table(:kept_answers, :vehicle_revisions)
  end
end
