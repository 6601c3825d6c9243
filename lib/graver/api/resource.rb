# frozen_string_literal: true

module Graver
  module API
    # The routes of one kind of resource: each is a method that returns a Hash (sent as JSON) or a Download. Action
    # names are the operation ids of openapi/graver.yml. A resource calls use cases, never the storage.
    class Resource
      Route = Struct.new(:verb, :path, :action, :status)

      class << self
        def routes = @routes ||= []
        def get(path, action, status = 200) = add("GET", path, action, status)
        def post(path, action, status = 200) = add("POST", path, action, status)
        def put(path, action, status = 200) = add("PUT", path, action, status)
        def patch(path, action, status = 200) = add("PATCH", path, action, status)
        def delete(path, action, status = 200) = add("DELETE", path, action, status)

        # Actions that are safe to repeat: they only read, or start long work.
        def repeatable(*actions) = (@repeatable ||= []).concat(actions)
        def once?(action) = !(@repeatable ||= []).include?(action)

        # Actions a guest may send although they are no GET: they change nothing.
        def asks(*actions) = (@asks ||= []).concat(actions)
        # Reads that are not for guests: the household as a whole, and secrets.
        def withhold(*actions) = (@withheld ||= []).concat(actions)

        def for_guests?(route)
          route.verb == "GET" ? !(@withheld ||= []).include?(route.action) : (@asks ||= []).include?(route.action)
        end

        private

        def add(*fields) = routes << Route.new(*fields)
      end

      def initialize(exchange)
        @exchange = exchange
      end

      # Answers a request with a key once (Context#once_for), if it adds something.
      def call(route)
        raise GuestReads, Say::Texts.t("access.guest") if @exchange.session&.guest && !self.class.for_guests?(route)
        return public_send(route.action) unless route.verb == "POST" && self.class.once?(route.action)

        context.once_for(@exchange.key, @exchange.path, @exchange.method(:digest)) { plain(public_send(route.action)) }
      end

      private

      def plain(answer) = answer.is_a?(CachedJson) ? JSON.parse(answer.text) : answer

      # The block's result as JSON, cached for each state of a vehicle. beside: see ResponseCache#fetch
      def kept(kind, vehicle_id, beside: nil)
        CachedJson.new(context.response_cache.fetch(context, kind, vehicle_id, beside:) { JSON.generate(yield) })
      end

      # The block's result, if what it changes is still as the sender saw it.
      def if_unchanged(versioned_fields, given, needed: [], &block)
        Service::Base::OptimisticLock.new(context, @exchange.seen).change(versioned_fields, given, needed:, &block)
      end

      # One inspection as JSON. Raises NotFound.
      def logged_inspection(id)
        logged = Service::Measuring::Inspections.new(context).find(id)
        bolts = Service::Jobs::BoltsReached.new(context).call(logged.inspection)
        Serializers::Inspections.new(knowledge).call(logged, bolts)
      end

      # A Service::Jobs::JobPlan::Plan as JSON.
      def job_plan(plan)
        Serializers::JobPlans.new(knowledge).call(plan, Service::Jobs::StepDetails.new(knowledge).call(plan))
      end

      # Only on this machine itself.
      def here
        raise NotFound, Say::Texts.t("missing.address") unless @exchange.local?

        yield
      end

      # What each word of the glossary means, by id.
      def words = knowledge.glossary.to_h { |term| term.values_at("id", "text") }
      def revision(fields) = Service::Base::Revision.of(fields)
      def context = @exchange.context
      def knowledge = context.knowledge
      def params = @exchange.params
      def id = @exchange.number("id")
      def payload(contract) = @exchange.payload(contract)
    end
  end
end
