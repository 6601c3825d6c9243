# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Something that stays open at a vehicle.
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
