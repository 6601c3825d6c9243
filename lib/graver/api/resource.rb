# frozen_string_literal: true

module Graver
  module API
    # The addresses of one kind of thing: a table of routes, each a method of its own that gives a Hash (answered as
    # JSON) or
    # a Download. Names of actions are the operation ids of openapi/graver.yml. A resource asks use cases, never the
    # records.
    class Resource
      Route = Struct.new(:verb, :path, :action, :status)

      class << self
        def routes = @routes ||= []
        def get(path, action, status = 200) = add("GET", path, action, status)
        def post(path, action, status = 200) = add("POST", path, action, status)
        def put(path, action, status = 200) = add("PUT", path, action, status)
        def patch(path, action, status = 200) = add("PATCH", path, action, status)
        def delete(path, action, status = 200) = add("DELETE", path, action, status)

        private

        def add(*fields) = routes << Route.new(*fields)
      end

      def initialize(exchange)
        @exchange = exchange
      end

      def call(route) = public_send(route.action)

      private

      def context = @exchange.context
      def knowledge = context.knowledge
      def params = @exchange.params
      def id = @exchange.number("id")
      def payload(contract) = @exchange.payload(contract)
    end
  end
end
