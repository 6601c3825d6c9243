# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # A measuring tool or a torque wrench as two windows may change it.
      class VersionedTool < Base::VersionedRecord
        LABELS = {
          name: "changed.name",
          unit: "changed.unit",
          least: "changed.least",
          most: "changed.most",
          resolution: "changed.resolution",
          uncertainty: "changed.uncertainty",
          graduation: "changed.graduation",
          length_mm: "changed.length",
          calibrated_on: "changed.calibrated_on",
          retired: "changed.archived"
        }.freeze
      end
    end
  end
end
