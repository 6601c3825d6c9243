# frozen_string_literal: true

module Graver
  # Another program holds the household's file for the moment.
  class FileBusy < FileRefused
  end
end
