# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The shape of input. Whether it makes sense (a plausible torque, an odometer that runs back) is checked by the
      # use case.
      class Contract < Dry::Validation::Contract
        LONGEST_TEXT = 2000
        CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/
        CONTROL_OR_LINE_END = /[\u0000-\u001F\u007F]/
        ONE_LINE = %w[name number supplier compound].freeze
        MESSAGES = File.expand_path("../../../../knowledge/messages/shape.yml", __dir__)

        config.messages.load_paths << MESSAGES

        # -> checked Hash with symbol keys. Raises InvalidEntry with a fault per field.
        def self.check(input)
          unwritten = control_characters(input)
          raise InvalidEntry, unwritten if unwritten.any?

          result = new.call(input)
          return result.to_h if result.success?

          raise(InvalidEntry, result.errors.map { |error| fault(error) })
        end

        # Control characters in a text, and line breaks in a one-line text: [FieldError]
        def self.control_characters(given, path = [])
          case given
          when Hash
            given.flat_map { |key, value| control_characters(value, [*path, key]) }
          when Array
            given.each_with_index.flat_map { |value, at| control_characters(value, [*path, at]) }
          when String
            return [] unless given.match?(ONE_LINE.include?(path.last.to_s) ? CONTROL_OR_LINE_END : CONTROL)

            [
              InvalidEntry::FieldError.new(
                field: path.join("."),
                code: "invalid",
                message: Say::Texts.t("shape.control")
              )
            ]
          else
            []
          end
        end

        def self.fault(error)
          InvalidEntry::FieldError.new(field: error.path.join("."), code: "invalid", message: error.text)
        end
        private_class_method :fault, :control_characters
      end
    end
  end
end
