# frozen_string_literal: true

module Graver
  module Service
    module Base
      # For use cases that check several fields and report all faults at once: they collect in @faults.
      module FieldErrors
        private

        # Notes a fault; nil, so that a check may end with it.
        def fault(field, code, message)
          @faults << InvalidEntry::FieldError.new(field:, code:, message:)
          nil
        end

        # The block's result, or nil with its faults recorded under the field.
        def under(field)
          yield
        rescue InvalidEntry => e
          @faults.concat(e.under(field).faults)
          nil
        end

        def raise_faults = @faults.any? && raise(InvalidEntry, @faults)
      end
    end
  end
end
