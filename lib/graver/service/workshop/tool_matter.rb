# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # A measuring tool or a torque wrench as two windows may change it.
      class ToolMatter < Base::Matter
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

        # Storage::Instrument or Storage::TorqueWrench -> { name => value }
        def self.fields(tool)
          tool.to_h.slice(*LABELS.keys).transform_values { |value| value.is_a?(Date) ? value.iso8601 : value }
        end

        # find: callable -> the tool as it stands
        def initialize(find)
          super(-> { self.class.fields(find.call) }, ->(name) { Texts.say(LABELS.fetch(name)) })
        end
      end
    end
  end
end
