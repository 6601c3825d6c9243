# frozen_string_literal: true

# Tables, columns, events and keys under the names the code uses now. Nothing of what was recorded changes but its name.
tables = {
  look_overs: :inspections,
  look_over_drafts: :inspection_drafts,
  open_ends: :follow_ups,
  doubts: :flags,
  ahead: :planned_events,
  kept_answers: :response_cache,
  answers_given: :idempotent_responses
}
events = {
  "started" => "in_progress",
  "dropped" => "cancelled",
  "otherwise" => "deviated",
  "cleared" => "deviation_resolved"
}
# Of the JSON in a column: keys as they were and are.
keys = {
  job_events: [:value, { "schools" => "approaches", "look_over" => "inspection" }],
  inspection_drafts: [:content, { "doubts" => "flags" }],
  binned_drafts: [:content, { "doubts" => "flags" }]
}

Sequel.migration do
  up do
    tables.each { |from, to| rename_table(from, to) }
    %i[readings conditions corrections forecasts_given photos].each do |table|
      rename_column table, :look_over_id, :inspection_id
    end
    # Triggers and indexes follow the table, but keep their own name and what they say.
    named = from(:sqlite_master).where(type: %w[trigger index]).exclude(sql: nil).select_map(%i[type name sql])
    named.each do |type, name, sql|
      renamed = tables.reduce(sql) { |text, (from, to)| text.gsub(/\b#{from}(?=\b|_)/, to.to_s) }
      renamed = renamed.gsub("look_over_id", "inspection_id")
      next if renamed == sql

      run "DROP #{type.upcase} \"#{name}\""
      run renamed
    end

    # Job events are evidence and refuse to change; here only their names do.
    guard = from(:sqlite_master).where(name: "job_events_no_update").get(:sql)
    run "DROP TRIGGER job_events_no_update"
    events.each { |from, to| from(:job_events).where(kind: from).update(kind: to) }
    keys.each do |table, (column, names)|
      names.each do |from, to|
        from(table)
          .where(Sequel.like(column, "%\"#{from}\":%"))
          .update(column => Sequel.function(:replace, column, "\"#{from}\":", "\"#{to}\":"))
      end
    end
    run guard

    { "walk_round" => "inspection_order", "schools" => "approaches" }.each do |from, to|
      from(:preferences).where(key: from).update(key: to)
    end
    # Whoever said disc speaks British English, and whoever chose rotor American.
    english = { '{"rotor":"disc"}' => '{"english":"uk"}', '{"rotor":"rotor"}' => '{"english":"us"}' }
    english.each { |before, now| from(:preferences).where(key: "words", value: before).update(value: now) }

    # Both are made again when they are asked for.
    from(:response_cache).delete
    from(:idempotent_responses).delete
  end
end
