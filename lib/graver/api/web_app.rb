# frozen_string_literal: true

require "json"
require "rack"

module Graver
  module API
    # The built interface, with the headers that keep it to this machine.
    class WebApp
      HEADERS = {
        "content-security-policy" =>
          "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; " \
            "img-src 'self' data: blob:; font-src 'self'; " \
            "connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        "cross-origin-resource-policy" => "same-origin",
        "x-content-type-options" => "nosniff",
        "referrer-policy" => "no-referrer"
      }.freeze
      LONG = "public, max-age=31536000, immutable"

      # told: callable (env) -> { name => value put into the page, as an attribute of its root }
      def initialize(folder, told)
        @folder = folder
        @told = told
        @files = Rack::Files.new(folder)
      end

      def call(env)
        path = env["PATH_INFO"]
        path = "/index.html" if path == "/"
        return page(env) if path == "/index.html" && %w[GET HEAD].include?(env["REQUEST_METHOD"])

        status, headers, body = @files.call(env.merge("PATH_INFO" => path))
        return missing if status == 404

        cache = path.start_with?("/assets/") ? LONG : "no-cache"
        [status, headers.merge(HEADERS, "cache-control" => cache), body]
      end

      private

      # Always whole, never 304: the values in it may have changed.
      def page(env)
        asked = env.except("HTTP_IF_MODIFIED_SINCE", "HTTP_RANGE").merge("PATH_INFO" => "/index.html")
        status, headers, body = @files.call(asked.merge("REQUEST_METHOD" => "GET"))
        return missing if status == 404

        html = +""
        body.each { |part| html << part.dup.force_encoding(Encoding::UTF_8) }
        html.sub!("<html ", "<html #{attributes(env)} ")
        headers = headers.except("last-modified").merge("content-length" => html.bytesize.to_s)
        [200, headers.merge(HEADERS, "cache-control" => "no-cache"), env["REQUEST_METHOD"] == "HEAD" ? [] : [html]]
      end

      def attributes(env)
        @told
          .call(env)
          .map { |name, value| %(data-#{name}="#{Rack::Utils.escape_html(JSON.generate(value))}") }
          .join(" ")
      end

      def missing
        built = File.exist?(File.join(@folder, "index.html"))
        text = built ? Say::Texts.t("missing.address") : "The interface is not built yet: run bin/setup."
        [404, { "content-type" => "text/plain; charset=utf-8", **HEADERS }, [text]]
      end
    end
  end
end
