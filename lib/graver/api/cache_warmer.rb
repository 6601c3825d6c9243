# frozen_string_literal: true

require "json"
require "rack"

module Graver
  module API
    # Opens the pages of every vehicle as a browser would, so that they are cached when somebody looks.
    class CacheWarmer
      PAGES = %w[/vehicles/%<id>d /vehicles/%<id>d/timeline /vehicles/%<id>d/findings].freeze

      # application: the whole Rack application
      def initialize(application)
        @browser = Rack::MockRequest.new(application)
      end

      def call
        garage = JSON.parse(visit("/garage?all=1").body)
        visit("/timelines")
        garage
          .fetch("vehicles", [])
          .each do |vehicle|
            PAGES.each { |page| visit(format(page, id: vehicle["id"])) }
            vehicle["axles"].each { |axle| visit("/axles/#{axle["id"]}/wear") }
          end
      end

      private

      def visit(path) = @browser.get("/api/v1#{path}", "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1")
    end
  end
end
