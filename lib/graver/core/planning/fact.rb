# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # of: "job", "lift" or "corner"; optional: not asked for where no step of the job gives it.
      Fact = Value.define(:id, :of, :label, :optional)
    end
  end
end
