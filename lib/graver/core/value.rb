# frozen_string_literal: true

module Graver
  module Core
    # Defines frozen keyword records: every field must be given, a change returns a copy.
    #
    #   Point = Value.define(:x, :y)
    #   Point.new(x: 1, y: 2).with(y: 3)
    #
    # Raises ArgumentError for a missing or unknown field.
    module Value
      # -> a frozen keyword Struct with `with(**changes)`
      def self.define(*fields, &block)
        record =
          Struct.new(*fields, keyword_init: true) do
            def initialize(**given)
              incomplete(given) if given.length < size

              super
              freeze
            end

            def with(**changes) = self.class.new(**to_h, **changes)

            private

            def incomplete(given)
              raise ArgumentError, "#{self.class.name} requires #{(members - given.keys).join(", ")}"
            end
          end
        # A subclass, so that methods of the block can call `super`.
        block ? Class.new(record).tap { |extended| extended.class_eval(&block) } : record
      end
    end
  end
end
