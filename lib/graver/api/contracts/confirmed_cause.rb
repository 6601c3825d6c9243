# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The cause found behind a finding.
      class ConfirmedCause < Contract
        json do
          required(:rule).filled(:string, max_size?: 60)
          required(:axle_id).filled(:integer)
          required(:side).maybe(:string, max_size?: 10)
          required(:cause).filled(:string, max_size?: 40)
        end
      end
    end
  end
end
