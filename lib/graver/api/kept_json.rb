# frozen_string_literal: true

module Graver
  module API
    # An answer that is JSON already.
    KeptJson = Struct.new(:text)
  end
end
