# frozen_string_literal: true

module Graver
  # The change could not be saved: the disk is full, or the file is gone or write-protected.
  class NotSaved < Error
  end
end
