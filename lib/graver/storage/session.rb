# frozen_string_literal: true

module Graver
  module Storage
    # A device that signed in; times are UTC stamps. person: name of who uses it, or nil; guest: may look only
    Session = Core::Value.define(:id, :device, :person, :guest, :begun_at, :seen_at, :expires_at)
  end
end
