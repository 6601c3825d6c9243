# frozen_string_literal: true

module Graver
  module Service
    module Household
      # An axle's brake data as two windows may change it.
      class VersionedBrakeData < Base::VersionedFields
        # record: Household::AxleRecord; looked_for: keys not to be found -> { key => in words }
        def self.fields(catalogue, record, looked_for)
          looked_for
            .to_h { |key| [key, Message.of("changed.not_found")] }
            .merge(record.data.to_h { |key, datum| [key, said(catalogue, key, datum.to_h)] })
        end

        # datum: { value:, unit:, source: } -> "9 mm (the part itself)" or nil
        def self.said(catalogue, key, datum)
          return unless datum[:value]

          source = catalogue.sources[datum[:source]]
          [catalogue.label(key, datum[:value].strip), datum[:unit], ("(#{source})" if source)].compact.join(" ")
        end

        def initialize(context, axle_id)
          @context = context
          @axle_id = axle_id
          @catalogue = context.knowledge.brake_data
          super(-> { current }, ->(key) { @catalogue.field(key)&.label || key })
        end

        # given: the API's BrakeDataEntries -> { key => value wanted }
        def wanted(given) = given.fetch(:entries).to_h { |entry| [entry[:key], asked(entry)] }

        private

        def current
          sheet = BrakeDataSheet.new(@context).call(@axle_id)
          self.class.fields(@catalogue, sheet.record, sheet.looked_for)
        end

        def asked(entry)
          return Message.of("changed.not_found") if entry[:value].nil? && entry[:source] == RecordBrakeData::UNKNOWN

          self.class.said(@catalogue, entry[:key], entry)
        end
      end
    end
  end
end
