# frozen_string_literal: true

module Graver
  # The household's file cannot or must not be opened: it is left unchanged.
  class FileRefused < Error
  end
end
