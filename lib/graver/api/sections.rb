# frozen_string_literal: true

require "digest"
require "json"

module Graver
  module API
    # The top-level fields of a large answer. A client that sends the version it has is answered with what changed since
    # (status 226, as RFC 3229 has it for parts of an answer).
    module Sections
      STATUS = 226
      # Of each field's digest; 48 bits.
      DIGITS = 8

      module_function

      # Hash -> the same with its version
      def with_version(answer) = answer.merge(version: version(answer))

      # The answer, or what of it differs from the version the client has: { version:, changed: }.
      def since(have, answer)
        version = version(answer)
        return answer.merge(version:) unless have&.length == version.length && have.start_with?(version[0, DIGITS])

        old, new = [have, version].map { |text| text.scan(/.{#{DIGITS}}/o).drop(1) }
        changed = answer.keys.zip(old, new).filter_map { |field, before, now| field unless before == now }
        { version:, changed: answer.slice(*changed) }
      end

      def partial?(answer) = answer.is_a?(Hash) && answer.keys.map(&:to_s) == %w[version changed]

      # A digest of the fields' names, then of each.
      def version(answer) = [answer.keys.join(" "), *answer.values].map { |each| digest(each) }.join

      def digest(content) = Digest::SHA256.base64digest(JSON.generate(content))[0, DIGITS]
      private_class_method :version, :digest
    end
  end
end
