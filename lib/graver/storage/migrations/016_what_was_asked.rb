# frozen_string_literal: true

# A kept answer knows what was asked, so that a key used for something else is refused. Those on file don't know.
Sequel.migration { change { add_column :idempotent_responses, :request_digest, String } }
