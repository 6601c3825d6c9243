# frozen_string_literal: true

require_relative "../core/errors"

module Graver
  module Service
    # Which of the trade's schools the household follows.
    class Schools
      KEY = "schools"
      KINDS = %w[pads rotors].freeze

      def initialize(context)
        @context = context
        @knowledge = context.knowledge
      end

      # { "pads" => "careful", "rotors" => "reuse" }
      def chosen = @chosen ||= KINDS.to_h { |kind| [kind, @knowledge.schools.fetch(kind).fetch("default")] }.merge(@context.store.preferences.get(KEY) || {})

      # mm at which pads are done where the owner has set no limit of their own
      def pad_limit_mm = @knowledge.pad_limit(@knowledge.schools.dig("pads", "options", chosen.fetch("pads"), "limit")).fetch("mm")

      # given: { pads:, rotors: }, either may be absent. Raises InvalidEntry.
      def choose(given)
        wanted = given.transform_keys(&:to_s).slice(*KINDS)
        faults = wanted.reject { |kind, id| @knowledge.schools.fetch(kind).fetch("options").key?(id) }.map do |kind, _|
          InvalidEntry::Fault.new(field: kind, code: "unknown_choice", message: "needs one of #{@knowledge.schools.fetch(kind).fetch("options").keys.join(", ")}")
        end
        raise InvalidEntry, faults if faults.any?

        @context.store.transaction { @context.store.preferences.set(KEY, chosen.merge(wanted)) }
        @chosen = nil
        chosen
      end
    end
  end
end
