# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The torque that bolts of a step reached.
      class TorqueReached < Contract
        UNITS = %w[N·m lbf·ft lbf·in].freeze

        json do
          required(:step).filled(:string, max_size?: 80)
          required(:axle).filled(:string, max_size?: 20)
          required(:fastener).filled(:string, max_size?: 40)
          required(:bolts).value(:array, min_size?: 1, max_size?: 40).each(:integer)
          optional(:reached).maybe(:string, max_size?: 20)
          optional(:unit).maybe(:string, included_in?: UNITS)
          optional(:angle).maybe(:string, max_size?: 20)
          optional(:wrench).maybe(:string, max_size?: 80)
          optional(:simulated).filled(:bool)
          optional(:felt).maybe(:bool)
          optional(:answer).maybe(:string, included_in?: %w[renewed loosened kept])
          optional(:seen).maybe(:string, max_size?: 20)
          optional(:because).maybe(:string, max_size?: 500)
        end
      end
    end
  end
end
