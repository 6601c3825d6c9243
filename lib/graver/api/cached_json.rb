# frozen_string_literal: true

module Graver
  module API
    # An answer that is JSON text already.
    CachedJson = Struct.new(:text)
  end
end
