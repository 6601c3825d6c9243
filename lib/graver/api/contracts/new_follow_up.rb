# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A new follow-up of a vehicle.
      class NewFollowUp < Contract
        json do
          required(:text).value(:string, max_size?: 1000)
          optional(:axle_id).maybe(:integer)
          optional(:side).maybe(:string, max_size?: 10)
          optional(:look_on).maybe(:string, max_size?: 20)
        end
      end
    end
  end
end
