# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A torque wrench.
      class NewTorqueWrench < Contract
        json do
          required(:name).value(:string, max_size?: 60)
          required(:unit).value(:string, max_size?: 10)
          %i[least most graduation].each { |key| required(key).value(:string, max_size?: 20) }
          %i[length_mm calibrated_on].each { |key| optional(key).maybe(:string, max_size?: 20) }
        end
      end
    end
  end
end
