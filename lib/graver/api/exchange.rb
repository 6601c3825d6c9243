# frozen_string_literal: true

require "digest"
require "json"

module Graver
  module API
    # One request as a resource sees it: path, query, headers and body.
    class Exchange
      LARGEST_BODY_BYTES = 256 * 1024
      # No upload is larger.
      LARGEST_REPEATED_BYTES = 64 * 1024 * 1024
      PART_BYTES = 1024 * 1024
      # A character no text of an owner has, raw or escaped; SQLite would cut the text there.
      NUL = /\u0000|\\u0000/
      MOST_NESTED = 20
      KEY = /\A[\w-]{8,64}\z/
      WHOLE_NUMBER = /\A\d{1,15}\z/

      attr_reader :context, :params

      # context: Service::Base::Context of this request; request: Rack::Request
      def initialize(context, request, params)
        @context = context
        @request = request
        @params = params
        check_texts(params)
      end

      # The sender's idempotency key, so that a repeated request takes effect once, or nil. Raises Malformed.
      def key
        given = @request.get_header("HTTP_IDEMPOTENCY_KEY") or return
        given.match?(KEY) ? given : raise(Malformed, Say::Texts.t("requests.key"))
      end

      # The revision the sender saw of what it changes (Service::Base::Revision), or nil.
      def seen
        given = @request.get_header("HTTP_IF_MATCH").to_s.delete_prefix("W/").delete('"')
        given unless ["", "*"].include?(given)
      end

      # The version of the answer the sender has (Sections), or nil.
      def have = @request.get_header("HTTP_GRAVER_HAVE")

      # Of an encrypted copy that is sent, percent-encoded as it may hold any letter -> text or nil
      def passphrase
        @request.get_header("HTTP_GRAVER_PASSPHRASE")&.then { |text| URI.decode_www_form_component(text) }
      rescue ArgumentError
        nil
      end

      def path = @request.path_info

      # For requests from the network: the device's session token, or nil; the address it comes from.
      def token = @request.cookies[AuthMiddleware::COOKIE]
      def address = @request.get_header("REMOTE_ADDR").to_s
      def local? = Network.loopback?(address)
      # Storage::Session of the device, or nil
      def session = @request.get_header(AuthMiddleware::SESSION)
      def network = @request.get_header(AuthMiddleware::NETWORK) || Network::NONE
      def phones = @request.get_header(AuthMiddleware::PHONES)
      def attempts = @request.get_header(AuthMiddleware::ATTEMPTS)

      # A whole number from the path. Raises NotFound for anything else.
      def number(name, missing: "missing.address")
        params[name].to_s.match?(WHOLE_NUMBER) ? params[name].to_i : raise(NotFound, Say::Texts.t(missing))
      end

      # The body, checked by a contract -> Hash with symbol keys. Raises InvalidEntry, Malformed, TooLarge.
      def payload(contract) = contract.check(parsed)

      # The body as JSON. Raises Malformed, TooLarge.
      def parsed
        raise Malformed, Say::Texts.t("requests.send_json") unless @request.media_type == "application/json"

        text = bytes(LARGEST_BODY_BYTES).force_encoding(Encoding::UTF_8)
        raise Malformed, Say::Texts.t("requests.not_text") unless text.valid_encoding? && !text.match?(NUL)

        content = JSON.parse(text, max_nesting: MOST_NESTED)
        content.is_a?(Hash) ? content : raise(Malformed, Say::Texts.t("requests.not_object"))
      rescue JSON::ParserError
        raise Malformed, Say::Texts.t("requests.not_json")
      end

      # The body's bytes. Raises TooLarge.
      def bytes(most)
        raise TooLarge, Say::Texts.t("requests.too_much") if @request.content_length.to_i > most

        text = @request.body&.read(most + 1).to_s.dup
        raise TooLarge, Say::Texts.t("requests.too_much") if text.bytesize > most

        @digest = digest_of(text)
        text
      end

      # Gives the body to the block part by part. Raises TooLarge.
      def each_part(most)
        raise TooLarge, Say::Texts.t("requests.too_much") if @request.content_length.to_i > most

        left = most
        while (part = @request.body&.read(PART_BYTES))
          raise TooLarge, Say::Texts.t("requests.too_much") if (left -= part.bytesize).negative?

          yield part
        end
      end

      # A digest of the query and the body, to tell a repeated request from another one.
      def digest = @digest ||= digest_of(@request.body&.read(LARGEST_REPEATED_BYTES).to_s)

      private

      def digest_of(body) = Digest::SHA256.hexdigest("#{@request.query_string}\0#{body}")

      # A path may hold bytes that are not valid text, however they are escaped.
      def check_texts(found)
        case found
        when Hash
          found.each_value { |each| check_texts(each) }
        when Array
          found.each { |each| check_texts(each) }
        when String
          unless found.dup.force_encoding(Encoding::UTF_8).then { |text| text.valid_encoding? && !text.match?(NUL) }
            raise Malformed, Say::Texts.t("requests.unreadable_address")
          end
        end
      end
    end
  end
end
