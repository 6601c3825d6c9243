# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Approaches chosen: { approach id => option id }, checked against the knowledge later.
      class ApproachChoice < Contract
        ID = /\A[a-z_]{1,30}\z/

        def self.check(input)
          faults =
            input
              .reject { |id, option| id.match?(ID) && option.is_a?(String) && option.match?(ID) }
              .map do |id, _|
                InvalidEntry::FieldError.new(field: id[0, 30], code: "invalid", message: Say::Texts.t("shape.approach"))
              end
          raise InvalidEntry, faults if faults.any?

          input.transform_keys(&:to_sym)
        end
      end
    end
  end
end
