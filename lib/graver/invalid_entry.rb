# frozen_string_literal: true

module Graver
  # Invalid input; `faults` lists every fault found, each a FieldError.
  class InvalidEntry < Error
    # One thing wrong with one field: `field` is a dotted path, `code` a stable word, `message` a sentence.
    FieldError = Struct.new(:field, :code, :message, keyword_init: true)

    attr_reader :faults

    def self.of(field, code, message) = new([FieldError.new(field:, code:, message:)])

    def initialize(faults)
      @faults = faults.freeze
      super(faults.map(&:message).join("; "))
    end

    # The same faults seen from an enclosing record: "value" becomes "readings.3.value".
    def under(prefix)
      self.class.new(
        faults.map { |fault| fault.dup.tap { |copy| copy.field = [prefix, fault.field].reject(&:empty?).join(".") } }
      )
    end
  end
end
