# frozen_string_literal: true

module Graver
  module Devices
    # The connected devices. Each gets one request at a time.
    class Shelf
      # For the demo, or behind its own switch: nothing to plug in, everything to try, and nothing of it true.
      def self.simulated(seed: 20, written: {})
        world = Simulated::World.new(seed:, written:)
        new(
          [
            Simulated::Gauge.new(
              id: "caliper",
              label: "Simulated digital caliper",
              method: "caliper",
              step_mm: 0.01,
              noise_mm: 0.03,
              seed:,
              world:
            ),
            Simulated::Gauge.new(
              id: "micrometer",
              label: "Simulated micrometer",
              method: "micrometer",
              step_mm: 0.001,
              noise_mm: 0.003,
              seed: seed + 1,
              world:
            ),
            Simulated::DiagnosticReader.new(
              id: "diagnostic",
              label: "Simulated diagnostic reader",
              seed: seed + 2,
              world:
            ),
            Simulated::TorqueWrench.new(id: "wrench", label: "Simulated torque wrench", seed: seed + 3, world:)
          ]
        )
      end

      # An owner's devices when nothing is plugged in.
      def self.bare = new([])

      def initialize(devices)
        @devices = devices.to_h { |device| [device.id, device] }.freeze
        @lock = Mutex.new
      end

      def all = @devices.values

      # Raises NotFound.
      def find(id) = @devices.fetch(id) { raise NotFound, Texts.t("missing.device") }

      # Yields the device alone.
      def use(id)
        device = find(id)
        @lock.synchronize { yield device }
      end
    end
  end
end
