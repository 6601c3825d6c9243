# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Moves a job, makes it ready, starts or cancels it.
      class JobChange < Contract
        json do
          optional(:planned_for).maybe(:string, max_size?: 20)
          optional(:state).maybe(:string, included_in?: %w[draft ready in_progress cancelled])
          optional(:because).maybe(:string, max_size?: 500)
          optional(:leave_apart).maybe(:bool)
        end
      end
    end
  end
end
