# frozen_string_literal: true

require "json"
require "sinatra/base"

module Graver
  module API
    # The JSON API under /api/v1 (openapi/graver.yml).
    class App < Sinatra::Base
      LARGEST_BODY_BYTES = 256 * 1024

      # A character no text of an owner has, raw or escaped; SQLite would cut the text there.
      NUL = /\u0000|\\u0000/

      configure do
        set :show_exceptions, false
        set :raise_errors, false
        set :dump_errors, false
        set :static, false
        disable :sessions
        # Host names are checked for the whole application, where it is put together.
        set :host_authorization, { permitted_hosts: [] }
      end

      register Routes::Household
      register Routes::Axles
      register Routes::Jobs
      register Routes::LookOvers
      register Routes::Workshop
      register Routes::Imports
      register Routes::Findings
      register Routes::Roads
      register Routes::Supplies

      before do
        content_type :json
        headers "Cache-Control" => "no-store"
        require_same_origin unless request.get? || request.head?
      end

      get("/health") { answer({ status: "ok" }) if context.store.reachable? }

      not_found { problem(NotFound.new("there is nothing at this address")) }
      error(Sinatra::BadRequest) { problem(ErrorMap::Malformed.new("the address cannot be read")) }
      error { problem(env["sinatra.error"]) }

      helpers do
        def context = settings.context
        def knowledge = context.knowledge

        def answer(content, code = 200)
          status code
          JSON.generate(content)
        end

        # The id in the address; anything but a whole number is an address where there is nothing.
        def id
          params["id"].match?(/\A\d{1,15}\z/) ? params["id"].to_i : raise(NotFound, "there is nothing at this address")
        end

        def payload(contract) = contract.check(parsed)

        # The body's bytes. Raises TooLarge.
        def bytes(most)
          raise ErrorMap::TooLarge, "that is too much at once" if request.content_length.to_i > most

          text = request.body&.read(most + 1).to_s.dup
          raise ErrorMap::TooLarge, "that is too much at once" if text.bytesize > most

          text
        end

        def parsed
          raise ErrorMap::Malformed, "send JSON (application/json)" unless request.media_type == "application/json"

          text = bytes(LARGEST_BODY_BYTES).force_encoding(Encoding::UTF_8)
          raise ErrorMap::Malformed, "that is not text we can read (UTF-8)" unless text.valid_encoding? && !text.match?(NUL)

          JSON.parse(text, max_nesting: 20).tap { |content| raise ErrorMap::Malformed, "that is not a JSON object" unless content.is_a?(Hash) }
        rescue JSON::ParserError
          raise ErrorMap::Malformed, "that is not JSON"
        end

        # A page of another origin may not write here, even on the same machine.
        def require_same_origin
          origin = request.env["HTTP_ORIGIN"]
          return if origin.nil? || origin == "#{request.scheme}://#{request.host_with_port}"

          raise ErrorMap::Malformed, "writes are taken from our own pages only"
        end

        def problem(error)
          found = ErrorMap.call(error)
          warn "#{error.class}: #{error.message}\n#{Array(error.backtrace).first(8).join("\n")}" if found.status == 500
          content_type :json
          answer({ error: { code: found.code, message: found.message, fields: found.fields } }, found.status)
        end
      end
    end
  end
end
