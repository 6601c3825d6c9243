# frozen_string_literal: true

module Graver
  # The household's file cannot be opened, or may not: it is left as it is.
  class FileRefused < Error
  end
end
