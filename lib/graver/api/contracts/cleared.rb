# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What was left out is made good.
      class Cleared < Contract
        json { required(:step).filled(:string, max_size?: 80) }
      end
    end
  end
end
