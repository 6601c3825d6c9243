# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The step a scan tool is to work at.
      class ScanToolAction < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:device).filled(:string, max_size?: 40)
        end
      end
    end
  end
end
