# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # What an import of a household did, or would do.
      module HouseholdImport
        module_function

        # Service::Tables::Exchange::Result -> Hash
        def call(result)
          {
            done: result.done,
            vehicles: result.vehicles,
            backup: result.backup,
            faults: result.faults.map(&:to_h),
            counts: counts(result.counts)
          }
        end

        def counts(counts)
          counts
            .reject { |_, count| count.sum.zero? }
            .map { |table, count| { what: Say::Texts.t("exchange.table_#{table}"), **count.to_h } }
        end
      end
    end
  end
end
