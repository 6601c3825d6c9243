# frozen_string_literal: true

module Graver
  module Service
    module Base
      # A VersionedFields that is a record: of its fields those that have a label, under LABELS of the kind of record.
      class VersionedRecord < VersionedFields
        # -> { name => value }
        def self.fields(record)
          record.to_h.slice(*self::LABELS.keys).transform_values { |value| value.is_a?(Date) ? value.iso8601 : value }
        end

        # find: callable -> the record as it stands
        def initialize(find)
          super(-> { self.class.fields(find.call) }, ->(name) { Message.of(self.class::LABELS.fetch(name)) })
        end
      end
    end
  end
end
