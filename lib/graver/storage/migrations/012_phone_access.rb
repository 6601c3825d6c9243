# frozen_string_literal: true

# Devices that may come in over the network, and the codes they are paired by: digests alone, never what they show.
Sequel.migration do
  change do
    create_table(:sessions) do
      primary_key :id
      String :digest, null: false, unique: true
      String :device, null: false
      String :begun_at, null: false
      String :seen_at, null: false
      String :expires_at, null: false
      String :ended_at
    end
    create_table(:pairings) do
      primary_key :id
      String :digest, null: false, unique: true
      String :expires_at, null: false
      String :used_at
    end
  end
end
