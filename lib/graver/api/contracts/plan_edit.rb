# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A change of the order of steps.
      class PlanEdit < Contract
        json do
          required(:action).filled(:string, included_in?: %w[drop insert move])
          optional(:key).maybe(:string, max_size?: 80)
          optional(:after).maybe(:string, max_size?: 80)
          optional(:text).maybe(:string, max_size?: 500)
        end
      end
    end
  end
end
