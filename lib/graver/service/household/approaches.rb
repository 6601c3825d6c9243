# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Which of the trade's approaches the household follows.
      class Approaches
        KEY = "approaches"
        # Those that bear on verdicts; the others on the job itself.
        JUDGING = %w[pads rotors inspection].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # { "pads" => entry, "bed_in" => entry, ... } of knowledge/rules/approaches.yml
        def self.all(knowledge) = knowledge.approaches.slice(*JUDGING).merge(knowledge.approaches.fetch("job"))

        # { "pads" => "careful", "rotors" => "reuse", "bed_in" => "maker", ... }
        def chosen
          @chosen ||=
            all
              .transform_values { |approach| approach.fetch("default") }
              .merge((@context.store.preferences.all[KEY] || {}).slice(*all.keys))
        end

        # As two windows may change them.
        def versioned_fields
          Base::VersionedFields.new(-> { chosen.transform_keys(&:to_sym) }, ->(name) { all.dig(name.to_s, "label") })
        end

        # Works the job's approaches propose: [[kind, option, work], ...].
        def proposed
          chosen
            .except(*JUDGING)
            .filter_map { |kind, id| (work = all.dig(kind, "options", id, "proposes")) && [kind, id, work] }
        end

        # Core::Judgement::PadLimit at which pads are done where the owner has set no limit of their own
        def pad_limit
          @knowledge.pad_limit(@knowledge.approaches.dig("pads", "options", chosen.fetch("pads"), "limit"))
        end

        # Core::Judgement::PadLimit, the stop limit, by the inspection that counts
        def floor
          @knowledge.pad_limit(@knowledge.approaches.dig("inspection", "options", chosen.fetch("inspection"), "floor"))
        end

        # given: { pads:, rotors:, bed_in:, ... }, any of them. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*all.keys)
          faults =
            wanted
              .reject { |kind, id| all.dig(kind, "options").key?(id) }
              .map do |kind, _|
                InvalidEntry::FieldError.new(
                  field: kind,
                  code: "unknown_choice",
                  message: Message.of("faults.choose", choices: all.dig(kind, "options").keys)
                )
              end
          raise InvalidEntry, faults if faults.any?

          @context.store.transaction { @context.store.preferences.set(KEY, chosen.merge(wanted)) }
          @chosen = nil
          chosen
        end

        private

        def all = self.class.all(@knowledge)
      end
    end
  end
end
