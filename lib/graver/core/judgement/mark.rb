# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # What can be seen of a thing that is looked at (knowledge/conditions.yml); one of a group rules the others out.
      Mark = Entry.define(:id, :label, group: nil, good: false, severity: nil, caution: nil)
    end
  end
end
