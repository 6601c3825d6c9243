# frozen_string_literal: true

module Graver
  module Storage
    # A device that signed in; times are UTC stamps.
    Session = Core::Value.define(:id, :device, :begun_at, :seen_at, :expires_at)
  end
end
