# frozen_string_literal: true

module Graver
  module API
    # The garage as JSON, built from each vehicle's card, the most urgent first. A card is built again when its vehicle
    # changes. If many are stale, the page does not wait for all of them: a stale card is shown with a note that a new
    # one is on the way.
    class GarageCards
      KIND = "card"

      def initialize(context)
        @context = context
        @serializer = Serializers::Vehicles.new(context.knowledge, context.today)
        @overviews = Service::Overview::VehicleOverviews.new(context)
      end

      # all: waits for every card -> JSON text
      def call(all: nil)
        @until = @context.patience && !all ? @context.clock + @context.patience : Float::INFINITY
        cards = @overviews.vehicles.map { |vehicle| card(vehicle) }
        cards.sort_by! { |order, _| order }
        %({"today":#{JSON.generate(@context.today.iso8601)},"vehicles":[#{cards.map(&:last).join(",")}]})
      end

      private

      # -> [sort key, JSON]
      def card(vehicle)
        kept = @context.response_cache.ready(@context, KIND, vehicle.id)
        return parted(kept) if kept

        @context.clock < @until ? calculated(vehicle) : parted(still_working(vehicle))
      end

      def calculated(vehicle)
        parted(@context.response_cache.fetch(@context, KIND, vehicle.id) { text(@overviews.find(vehicle.id)) })
      rescue StandardError => e
        ErrorLog.report(e)
        parted(text(@overviews.unworked(vehicle, e)))
      end

      # The stale card, with its first field saying that a new one is on the way.
      def still_working(vehicle)
        stale = @context.response_cache.stale(@context, KIND, vehicle.id)
        stale ? stale.sub(%("working":false), %("working":true)) : text(@overviews.bare(vehicle), working: true)
      end

      # The sort key stands before the JSON, on its own line.
      def text(overview, working: false)
        "#{JSON.generate(@serializer.urgency(overview))}\n#{JSON.generate(@serializer.card(overview, working:))}"
      end

      def parted(text) = text.split("\n", 2).then { |order, json| [JSON.parse(order), json] }
    end
  end
end
