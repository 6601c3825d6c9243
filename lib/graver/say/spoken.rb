# frozen_string_literal: true

module Graver
  module Say
    # The English this thread speaks while it answers, and the units of lengths.
    module Spoken
      CURRENT = :graver_english
      LENGTHS = :graver_lengths
      METRIC = { "pad" => "mm", "rotor" => "mm" }.freeze

      module_function

      def english = Thread.current.thread_variable_get(CURRENT) || English::DEFAULT

      # { "pad" => unit, "rotor" => unit }
      def lengths = Thread.current.thread_variable_get(LENGTHS) || METRIC

      # The block's result, with its texts in this English and these units.
      def in(english, lengths = self.lengths)
        before = [CURRENT, LENGTHS].to_h { |key| [key, Thread.current.thread_variable_get(key)] }
        set(CURRENT => english, LENGTHS => lengths)
        yield
      ensure
        set(before)
      end

      def set(values) = values.each { |key, value| Thread.current.thread_variable_set(key, value) }
      private_class_method :set
    end
  end
end
