# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Who is at this device.
      class Person < Contract
        json { optional(:person).maybe(:string, max_size?: 200) }
      end
    end
  end
end
