# frozen_string_literal: true

require "rack"

module Graver
  module API
    # Does what would be asked for: opens the pages of each vehicle that changed as a browser would, so that they are
    # cached when somebody looks, and stores its missing forecasts.
    class WorkAhead
      HOUSEHOLD = %w[/garage?all=1 /timelines /calendar.ics].freeze
      PAGES = %w[/vehicles/%<id>d /vehicles/%<id>d/timeline /vehicles/%<id>d/findings].freeze

      # application: the whole Rack application of that context
      def initialize(context, application)
        @context = context
        @browser = Rack::MockRequest.new(application)
        @vehicles = Service::Overview::ChangedVehicles.new
      end

      # Whether there was anything to do. The block says before each piece whether to go on.
      def call(&going_on)
        changed = @vehicles.of(@context.for_request)
        return false if changed.empty?

        visit(HOUSEHOLD + changed.flat_map { |seen| pages(seen.vehicle) }, going_on)
        changed.each { |seen| finish(seen, going_on) if yield }
        true
      end

      private

      def pages(vehicle)
        PAGES.map { |page| format(page, id: vehicle.id) } + vehicle.axles.map { |axle| "/axles/#{axle.id}/wear" }
      end

      # What fails is not tried again until something changes.
      def finish(seen, going_on)
        Service::Forecast::RecordForecasts.new(@context.for_request).keep_of(seen.id)
        visit(seen.vehicle.axles.map { |axle| "/axles/#{axle.id}/forecast-quality" }, going_on)
      rescue StandardError => e
        ErrorLog.report(e)
      ensure
        @vehicles.done(seen)
      end

      def visit(paths, going_on)
        paths.each do |path|
          next unless going_on.call

          @browser.get("/api/v1#{path}", "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1")
        end
      end
    end
  end
end
