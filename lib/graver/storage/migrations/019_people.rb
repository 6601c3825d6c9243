# frozen_string_literal: true

# Who did it: the name of the person at the device, as it was then. Guests may look and change nothing.
Sequel.migration do
  change do
    %i[inspections corrections job_events].each { |table| add_column table, :done_by, String }
    add_column :sessions, :person, String
    add_column :sessions, :guest, TrueClass, null: false, default: false
    add_column :pairings, :guest, TrueClass, null: false, default: false
  end
end
