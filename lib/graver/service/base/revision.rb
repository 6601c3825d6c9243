# frozen_string_literal: true

require "digest"
require "json"

module Graver
  module Service
    module Base
      # The revision of a changeable thing, as a text that a window sends back with a change. It covers each field, so
      # that two windows may change different fields.
      module Revision
        DIGITS = 10

        module_function

        # fields: { name => value }, values in words -> text for a header. Nil values are left out.
        def of(fields)
          [JSON.generate(fields.compact.to_h { |name, value| [name.to_s, digest(value)] })].pack("m0")
        end

        # -> names of `fields` that changed since the revision `seen`. Raises InvalidEntry if it is not a revision.
        def changed(seen, fields, names)
          known = read(seen)
          names.reject { |name| known[name.to_s] == digest(fields[name]) }
        end

        # A value in words.
        def said(value)
          case value
          when nil, ""
            Message.of("changed.nothing")
          when true, false
            Message.of(value ? "changed.yes" : "changed.no")
          when Array
            value.join(", ")
          else
            value.to_s
          end
        end

        def digest(value) = value.nil? ? nil : Digest::SHA256.hexdigest(said(value))[0, DIGITS]

        def read(seen)
          found = JSON.parse(seen.unpack1("m0"))
          found.is_a?(Hash) ? found : raise(ArgumentError)
        rescue ArgumentError, JSON::ParserError, EncodingError
          raise InvalidEntry.of("revision", "invalid", Message.of("requests.revision"))
        end

        private_class_method :digest, :read
      end
    end
  end
end
