# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What a shop asks.
      class Quote < Contract
        json { required(:total).maybe(:string, max_size?: 20) }
      end
    end
  end
end
