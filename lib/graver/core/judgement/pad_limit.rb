# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Where pads are done, by one approach or law (knowledge/limits.yml).
      PadLimit = Entry.define(:id, :label, :mm, :source, note: nil)
    end
  end
end
