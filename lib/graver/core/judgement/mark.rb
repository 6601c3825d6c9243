# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # What can be seen of a thing that is looked at (knowledge/conditions.yml); one of a group rules the others out.
      # gone_after: the part that has to be looked at on every axle before a symptom counts as gone, or nil; source: id
      # in knowledge/sources.yml, or nil: that of the file
      Mark =
        Entry.define(:id, :label, group: nil, good: false, severity: nil, caution: nil, gone_after: nil, source: nil)
    end
  end
end
