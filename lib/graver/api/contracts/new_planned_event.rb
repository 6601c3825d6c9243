# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A planned event: a trip, a change of driving, an inspection.
      class NewPlannedEvent < Contract
        json do
          required(:kind).filled(:string, included_in?: %w[trip driving inspection])
          required(:from).value(:string, max_size?: 20)
          optional(:name).maybe(:string, max_size?: 80)
          optional(:to).maybe(:string, max_size?: 20)
          optional(:distance).maybe(:string, max_size?: 20)
          optional(:unit).maybe(:string, included_in?: %w[km mi])
          optional(:wear_factor).maybe(:string, max_size?: 10)
        end
      end
    end
  end
end
