# frozen_string_literal: true

module Graver
  module Say
    # The English this thread speaks while it answers.
    module Spoken
      CURRENT = :graver_english

      module_function

      def english = Thread.current.thread_variable_get(CURRENT) || English::DEFAULT

      # The block's result, with its texts in this English.
      def in(english)
        before = Thread.current.thread_variable_get(CURRENT)
        Thread.current.thread_variable_set(CURRENT, english)
        yield
      ensure
        Thread.current.thread_variable_set(CURRENT, before)
      end
    end
  end
end
