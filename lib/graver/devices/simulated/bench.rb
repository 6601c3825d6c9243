# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # Puts one device of each kind on the shelf.
      module Bench
        module_function

        # For the demo, or behind its own switch: nothing to plug in, everything to try, and nothing of it true.
        def shelf(seed: 20, written: {})
          world = World.new(seed:, written:)
          Shelf.new(
            [
              Gauge.new(
                id: "caliper",
                label: "Simulated digital caliper",
                method: "caliper",
                step_mm: 0.01,
                noise_mm: 0.03,
                seed:,
                world:
              ),
              Gauge.new(
                id: "micrometer",
                label: "Simulated micrometer",
                method: "micrometer",
                step_mm: 0.001,
                noise_mm: 0.003,
                seed: seed + 1,
                world:
              ),
              DiagnosticReader.new(id: "diagnostic", label: "Simulated diagnostic reader", seed: seed + 2, world:),
              TorqueWrench.new(id: "wrench", label: "Simulated torque wrench", seed: seed + 3, world:)
            ]
          )
        end
      end
    end
  end
end
