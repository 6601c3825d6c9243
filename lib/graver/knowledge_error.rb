# frozen_string_literal: true

module Graver
  # A file under knowledge/ is wrong: ours to mend, not the owner's.
  class KnowledgeError < Error
  end
end
