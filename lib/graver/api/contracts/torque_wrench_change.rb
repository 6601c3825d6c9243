# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A change of a torque wrench.
      class TorqueWrenchChange < Contract
        json do
          optional(:name).value(:string, max_size?: 60)
          optional(:unit).value(:string, max_size?: 10)
          %i[least most graduation].each { |key| optional(key).value(:string, max_size?: 20) }
          %i[length_mm calibrated_on].each { |key| optional(key).maybe(:string, max_size?: 20) }
          optional(:retired).filled(:bool)
        end
      end
    end
  end
end
