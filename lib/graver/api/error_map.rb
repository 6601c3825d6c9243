# frozen_string_literal: true

module Graver
  module API
    # The HTTP answer to each error. Any other error is a bug: 500, with no details.
    module ErrorMap
      Problem = Struct.new(:status, :code, :message, :fields, :revision)
      # The first match counts.
      KINDS = {
        InvalidEntry => [422, "invalid"],
        NotFound => [404, "not_found"],
        NotSignedIn => [401, "sign_in"],
        GuestReads => [403, "guest"],
        TooOften => [429, "too_often"],
        DeviceFailed => [503, "no_answer"],
        NotSaved => [503, "not_saved"],
        ChangedElsewhere => [412, "changed_elsewhere"],
        Conflict => [409, "conflict"],
        FileRefused => [409, "conflict"],
        Malformed => [400, "malformed"],
        TooLarge => [413, "too_large"],
        Exception => [500, "failed"]
      }.freeze

      # A summary, where the error lists its own parts or the details do not concern the client.
      SAID = { "invalid" => "requests.invalid", "failed" => "requests.failed" }.freeze
      LISTING = [InvalidEntry, ChangedElsewhere].freeze

      module_function

      def call(error)
        status, code = KINDS.find { |kind, _| error.is_a?(kind) }.last
        message = SAID.key?(code) ? Say::Texts.t(SAID[code]) : error.message
        faults = LISTING.include?(error.class) ? error.faults.map(&:to_h) : []
        revision = error.revision if error.is_a?(ChangedElsewhere)
        Problem.new(status, code, message, faults, revision)
      end
    end
  end
end
