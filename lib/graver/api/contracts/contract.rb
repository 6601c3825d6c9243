# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Shape of what comes from outside. Meaning (is the torque plausible, does the odometer run back) is judged
      # further in.
      class Contract < Dry::Validation::Contract
        LONGEST_TEXT = 2000
        MESSAGES = File.expand_path("../../../../knowledge/messages/shape.yml", __dir__)

        config.messages.load_paths << MESSAGES

        # -> checked Hash with symbol keys. Raises InvalidEntry with a fault per field.
        def self.check(input)
          result = new.call(input)
          return result.to_h if result.success?

          raise(InvalidEntry, result.errors.map { |error| fault(error) })
        end

        def self.fault(error)
          InvalidEntry::Fault.new(field: error.path.join("."), code: "invalid", message: error.text)
        end
        private_class_method :fault
      end
    end
  end
end
