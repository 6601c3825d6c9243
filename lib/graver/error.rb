# frozen_string_literal: true

module Graver
  # Root of everything Graver raises on purpose.
  class Error < StandardError
  end
end
