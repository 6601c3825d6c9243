# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # of: "job", "lift" or "corner"; optional: not asked for where no step of the job gives it; apart: what is not
      # together while it holds, in the owner's words, or nil; unsaid_with: ids of facts that say it already;
      # keeps: Keeps.
      Fact = Value.define(:id, :of, :label, :optional, :apart, :unsaid_with, :keeps)
    end
  end
end
