# frozen_string_literal: true

# What was answered to requests with a key of their sender's.
Sequel.migration do
  change do
    create_table(:answers_given) do
      String :key, null: false
      String :path, null: false
      String :answer, text: true, null: false
      String :recorded_at, null: false
      primary_key %i[key path]
      index :recorded_at
    end
  end
end
