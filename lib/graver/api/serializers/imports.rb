# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # An imported table, and its progress.
      module Imports
        module_function

        # Storage::Import; progress: [state, share, failed] of Service::Tables::ImportLog
        def call(import, progress)
          state, share, failed = progress
          { **import.to_h.slice(:id, :vehicle_id, :name, :result, :recorded_at), state:, share:, failed: }
        end
      end
    end
  end
end
