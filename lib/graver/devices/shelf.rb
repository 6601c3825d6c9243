# frozen_string_literal: true

module Graver
  module Devices
    # The connected devices. Each gets one request at a time.
    class Shelf
      # An owner's devices when nothing is plugged in.
      def self.bare = new([])

      def initialize(devices)
        @devices = devices.to_h { |device| [device.id, device] }.freeze
        @lock = Mutex.new
      end

      def all = @devices.values

      # Raises NotFound.
      def find(id) = @devices.fetch(id) { raise NotFound, Message.of("missing.device") }

      # Yields the device alone.
      def use(id)
        device = find(id)
        @lock.synchronize { yield device }
      end
    end
  end
end
