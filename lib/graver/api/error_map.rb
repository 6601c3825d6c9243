# frozen_string_literal: true

module Graver
  module API
    # Which error becomes which answer. Everything else is ours: 500, and not a word of it to the outside.
    module ErrorMap
      Problem = Struct.new(:status, :code, :message, :fields)

      module_function

      def call(error)
        case error
        when InvalidEntry
          Problem.new(422, "invalid", Texts.say("requests.invalid"), error.faults.map(&:to_h))
        when NotFound
          Problem.new(404, "not_found", error.message, [])
        when DeviceFailed
          Problem.new(503, "no_answer", error.message, [])
        when NotSaved
          Problem.new(503, "not_saved", error.message, [])
        when Conflict, FileRefused
          Problem.new(409, "conflict", error.message, [])
        when Malformed
          Problem.new(400, "malformed", error.message, [])
        when TooLarge
          Problem.new(413, "too_large", error.message, [])
        else
          Problem.new(500, "failed", Texts.say("requests.failed"), [])
        end
      end
    end
  end
end
