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

      # told: -> { name => what the screens are told of it with the page, as an attribute of its root }
      def initialize(folder, told)
        @folder = folder
        @told = told
        @files = Rack::Files.new(folder)
      end

      def call(env)
        path = env["PATH_INFO"]
        path = "/index.html" if path == "/"
        status, headers, body = @files.call(env.merge("PATH_INFO" => path))
        return missing if status == 404

        return page(headers, body) if path == "/index.html"

        cache = path.start_with?("/assets/") ? LONG : "no-cache"
        [status, headers.merge(HEADERS, "cache-control" => cache), body]
      end

      private

      def page(headers, body)
        html = +""
        body.each { |part| html << part }
        body.close if body.respond_to?(:close)
        html.sub!("<html ", "<html #{attributes} ")
        headers = headers.except("last-modified").merge("content-length" => html.bytesize.to_s)
        [200, headers.merge(HEADERS, "cache-control" => "no-cache"), [html]]
      end

      def attributes
        @told.call.map { |name, value| %(data-#{name}="#{Rack::Utils.escape_html(JSON.generate(value))}") }.join(" ")
      end

      def missing
        built = File.exist?(File.join(@folder, "index.html"))
        text = built ? Texts.say("missing.address") : "The interface is not built yet: run bin/setup."
        [404, { "content-type" => "text/plain; charset=utf-8", **HEADERS }, [text]]
      end
    end
  end
end
