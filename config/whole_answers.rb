# frozen_string_literal: true

require "puma"
require "puma/server"

# Puma 6 to 8 empties a connection's buffer after it has handed the connection to another thread, which may be writing
# its answer there: now and then an answer loses its first lines (docs/decisions/0012-whole-answers.md). Here each
# thread writes into a buffer of its own, so that what one thread empties is never another's.
module WholeAnswers
  def io_buffer
    Thread.current.thread_variable_get(:answer_buffer) ||
      Puma::IOBuffer.new.tap { |buffer| Thread.current.thread_variable_set(:answer_buffer, buffer) }
  end
end

Puma::Client.prepend(WholeAnswers)
