# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # of: "job", "lift" or "corner"; optional: not required if no step of the job adds it; apart: what is apart while
      # it holds, in the owner's words, or nil; unsaid_with: ids of facts that include it; keeps: Keeps.
      Fact = Value.define(:id, :of, :label, :optional, :apart, :unsaid_with, :keeps)
    end
  end
end
