# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A job to be planned.
      class NewJob < Contract
        json { optional(:planned_for).maybe(:string, max_size?: 20) }
      end
    end
  end
end
