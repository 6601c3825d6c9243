# frozen_string_literal: true

require "json"
require "sinatra/base"

module Graver
  module API
    # The JSON API under /api/v1 (openapi/graver.yml): every resource's table of routes, and one answer to every error.
    class App < Sinatra::Base
      RESOURCES = [
        Resources::Access,
        Resources::Household,
        Resources::Axles,
        Resources::Inspections,
        Resources::Findings,
        Resources::FollowUps,
        Resources::Photos,
        Resources::Reports,
        Resources::Timelines,
        Resources::Logbook,
        Resources::Workshop,
        Resources::Imports,
        Resources::Supplies,
        Resources::Jobs,
        Resources::Backups,
        Resources::OpenFormat,
        Resources::Drills
      ].freeze
      # Answers are not cached, not shown in a foreign frame, and not loaded from another origin.
      HEADERS = {
        "Cache-Control" => "no-store",
        "Content-Security-Policy" => "frame-ancestors 'none'",
        "Cross-Origin-Resource-Policy" => "same-origin",
        "X-Content-Type-Options" => "nosniff"
      }.freeze
      WRITING = %w[POST PUT PATCH DELETE].freeze

      configure do
        set :show_exceptions, false
        set :raise_errors, false
        set :dump_errors, false
        set :static, false
        disable :sessions
        # Host names are checked for the whole application, where it is put together.
        set :host_authorization, { permitted_hosts: [] }
      end

      before do
        content_type :json
        headers HEADERS
        raise NotSignedIn, Say::Texts.t("access.sign_in") if env["graver.barred"]

        require_same_origin if WRITING.include?(request.request_method)
      end

      RESOURCES.each do |resource|
        resource.routes.each do |route|
          answering =
            proc { respond(resource.new(Exchange.new(context_of_request, request, params)).call(route), route.status) }
          route("HEAD", route.path, &answering) if route.verb == "GET"
          route(route.verb, route.path, &answering)
        end
      end

      not_found { problem(NotFound.new(Say::Texts.t("missing.address"))) }
      error(Sinatra::BadRequest) { problem(Malformed.new(Say::Texts.t("requests.unreadable_address"))) }
      error { problem(env["sinatra.error"]) }

      private

      def context_of_request
        session = env[AuthMiddleware::SESSION]
        context = settings.context.for_request(Say::Spoken.english)
        session ? context.as(session.person) : context
      end

      def respond(answer, code)
        return respond(with_cookie(answer), code) if answer.is_a?(WithCookie)

        status Sections.partial?(answer) ? Sections::STATUS : code
        return answer.text if answer.is_a?(CachedJson)
        return JSON.generate(answer) unless answer.is_a?(Download)

        content_type answer.type, *([{ charset: "utf-8" }] if answer.type.start_with?("text/"))
        headers "Content-Disposition" => answer.disposition if answer.disposition
        headers "Cache-Control" => "no-store, no-transform" unless answer.body.is_a?(String)
        answer.body
      end

      # Sent back to this server only, and hidden from scripts.
      def with_cookie(answer)
        response.set_cookie(
          AuthMiddleware::COOKIE,
          value: answer.value.to_s,
          path: "/api/v1",
          max_age: answer.seconds,
          httponly: true,
          same_site: :strict,
          secure: request.ssl?
        )
        answer.answer
      end

      # A page of another origin may not write here, even on the same machine.
      def require_same_origin
        origin = request.env["HTTP_ORIGIN"]
        return if origin.nil? || origin == "#{request.scheme}://#{request.host_with_port}"

        raise Malformed, Say::Texts.t("requests.own_pages")
      end

      def problem(error)
        found = ErrorMap.call(error)
        ErrorLog.report(error) if found.status == 500
        content_type :json
        respond({ error: found.to_h.except(:status).compact }, found.status)
      end
    end
  end
end
