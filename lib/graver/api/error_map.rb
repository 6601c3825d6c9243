# frozen_string_literal: true

module Graver
  module API
    # Which error becomes which answer. Everything else is ours: 500, and not a word of it to the outside.
    module ErrorMap
      Problem = Struct.new(:status, :code, :message, :fields)

      module_function

      def call(error)
        case error
        when InvalidEntry then Problem.new(422, "invalid", "Something here needs another look.", error.faults.map(&:to_h))
        when NotFound then Problem.new(404, "not_found", sentence(error), [])
        when DeviceFailed then Problem.new(503, "no_answer", sentence(error), [])
        when Conflict then Problem.new(409, "conflict", sentence(error), [])
        when Malformed then Problem.new(400, "malformed", sentence(error), [])
        when TooLarge then Problem.new(413, "too_large", sentence(error), [])
        else Problem.new(500, "failed", "Something went wrong on our side. What you typed is still here; try again.", [])
        end
      end

      def sentence(error) = "#{error.message[0].upcase}#{error.message[1..]}."
    end
  end
end
