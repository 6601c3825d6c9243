# frozen_string_literal: true

require_relative "contract"

module Graver
  module API
    module Contracts
      # A job to be planned.
      class NewJob < Contract
        json { optional(:planned_for).maybe(:string, max_size?: 20) }
      end

      # A job moved, finished or dropped.
      class JobChange < Contract
        json do
          optional(:planned_for).maybe(:string, max_size?: 20)
          optional(:state).maybe(:string, included_in?: %w[finished dropped])
        end
      end

      # A step ticked off.
      class Tick < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:done).filled(:bool)
        end
      end
    end
  end
end
