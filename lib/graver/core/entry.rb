# frozen_string_literal: true

module Graver
  module Core
    # Defines frozen records of the trade's knowledge: fields that are always there, and fields with what stands where
    # a file says nothing.
    #
    #   Tool = Entry.define(:id, :label, never: nil, special: false)
    #   Tool.from("id" => "jack", "label" => "Trolley jack").special # => false
    #
    # `from` raises ArgumentError for a missing or unknown field.
    module Entry
      # -> a record class with `from(hash)`; defaults: fields a file may leave out, with their values
      def self.define(*required, **defaults, &block)
        Value
          .define(*required, *defaults.keys, &block)
          .tap do |record|
            record.define_singleton_method(:from) { |written| new(**defaults, **written.transform_keys(&:to_sym)) }
          end
      end
    end
  end
end
