# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A vehicle renamed, given another drive or distance unit, archived or restored.
      class ChangeVehicle
        def initialize(context)
          @context = context
        end

        # given: any of { name:, drive:, distance_unit:, archived: }. Raises NotFound.
        def call(id, given)
          @context.store.vehicles.find(id)
          changes = given.slice(:name, :drive, :distance_unit)
          changes[:archived_at] = given[:archived] ? @context.now : nil if given.key?(:archived)
          @context.store.transaction { @context.store.vehicles.change(id, changes) }
        end
      end
    end
  end
end
