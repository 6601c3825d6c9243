# frozen_string_literal: true

module Graver
  # What was asked for could not be kept: the disk is full, the file is gone, or may not be written.
  class NotSaved < Error
  end
end
