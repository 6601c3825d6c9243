# frozen_string_literal: true

module Graver
  module Storage
    # The records as one request sees them: each is loaded once, until the request changes something. Jobs and drafts
    # are separate from the brakes' records: a tick causes nothing else to be read again.
    class RequestStore
      READS = {
        vehicles: %i[all find find_axle],
        brake_data: %i[current known_of unknown_of history],
        inspections: %i[find of_vehicle of_vehicles read_with],
        drafts: %i[find binned find_binned],
        jobs: %i[find of state_before_drop],
        instruments: %i[all find],
        imports: %i[find of_vehicle content],
        preferences: %i[all],
        corrections: %i[of of_vehicle],
        planned_events: %i[of_vehicles],
        follow_ups: %i[of_vehicles],
        photos: %i[find of_vehicle],
        sessions: [],
        torque_wrenches: %i[all find],
        supplies: %i[of find],
        forecasts_given: %i[of_axles],
        idempotent_responses: %i[of],
        response_cache: []
      }.freeze
      # A change of one of these concerns itself alone.
      APART = %i[jobs drafts idempotent_responses response_cache photos sessions].freeze

      # store: Store
      def initialize(store)
        @store = store
        @repositories = {}
        @once = {}
        @unsaved = []
      end

      READS.each_key { |name| define_method(name) { repository(name) } }

      # The block's result, calculated once until something changes.
      def once(key) = @once.key?(key) ? @once[key] : @once[key] = yield

      # See Store#revisions.
      def revisions = @revisions ||= @store.revisions
      # False once this request has changed something that is not saved yet: nothing read then may be cached for others.
      def settled? = !(@within && @unsaved.any?)
      # The same of all but jobs and drafts.
      def records_settled? = !(@within && @unsaved.difference(APART).any?)

      # Reads again within the transaction: data may have changed before it began, and cannot from here on.
      def transaction(&block)
        return @store.transaction(&block) if @within

        @store.transaction { within(&block) }
      rescue StandardError
        forget(READS.keys)
        raise
      end

      # See Store#reachable?.
      def reachable? = @store.reachable?
      # See Store#document, Store#merge.
      def document(at) = @store.document(at)
      def merge(document, &block) = transaction { @store.merge(document, &block) }
      # -> OpenFormat::Desk
      def desk = @store.desk
      # -> Backups
      def backups = @store.backups
      # -> Pictures
      def pictures = @store.pictures

      private

      def within
        @within = true
        @unsaved.clear
        forget(READS.keys)
        yield
      ensure
        @within = false
      end

      def repository(name)
        @repositories[name] ||= MemoizedRepository.new(@store.repository(name), READS.fetch(name), -> { changed(name) })
      end

      def changed(name)
        @unsaved << name
        forget(APART.include?(name) ? [name] : READS.keys)
      end

      def forget(names)
        names.each { |name| @repositories[name]&.forget }
        @revisions = nil
        @once.clear
      end
    end
  end
end
