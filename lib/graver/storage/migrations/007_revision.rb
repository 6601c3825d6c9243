# frozen_string_literal: true

# A number that rises with every change of what answers are worked out from (all but jobs and drafts), whoever makes
# it: what
# was worked out at a revision holds as long as it stands.
revised = %i[
  vehicles axles brake_data look_overs readings doubts conditions corrections instruments zero_checks imports
  preferences ahead forecasts_given torque_wrenches supplies
]

Sequel.migration do
  up do
    create_table(:household_revision) { Integer :revision, null: false }
    from(:household_revision).insert(revision: 1)
    revised.product(%w[INSERT UPDATE DELETE]).each do |table, change|
      run "CREATE TRIGGER #{table}_revised_by_#{change.downcase} AFTER #{change} ON #{table} " \
          "BEGIN UPDATE household_revision SET revision = revision + 1; END"
    end
  end

  down do
    revised.product(%w[insert update delete]).each { |table, change| run "DROP TRIGGER #{table}_revised_by_#{change}" }
    drop_table(:household_revision)
  end
end
