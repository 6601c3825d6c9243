# frozen_string_literal: true

module Graver
  module Service
    module Household
      # How the household plans: lead time of parts, what counts as one session, how cautious.
      class ScheduleChoices
        KEY = "schedule"

        def initialize(context)
          @context = context
          @choices = context.knowledge.schedule.fetch("choices")
        end

        # { "lead_days" => 7, ... }
        def chosen
          @chosen ||=
            @choices
              .transform_values { |choice| choice["value"] }
              .merge((@context.store.preferences.all[KEY] || {}).slice(*@choices.keys))
        end

        # As two windows may change them.
        def versioned_fields
          Base::VersionedFields.new(
            -> { chosen.transform_keys(&:to_sym) },
            ->(name) { @choices.dig(name.to_s, "label") }
          )
        end

        # -> Core::Schedule::NextLook::Costs
        def look_costs = @context.knowledge.look_costs(chosen.fetch("trouble"))

        # given: { lead_days: 10 }, any of them. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*@choices.keys)
          faults =
            wanted.filter_map do |key, value|
              least, most = @choices.fetch(key).values_at("least", "most")
              unless value.between?(least, most)
                InvalidEntry::FieldError.new(
                  field: key,
                  code: "out_of_range",
                  message: Message.of("faults.between", least:, most:)
                )
              end
            end
          raise InvalidEntry, faults if faults.any?

          @context.store.transaction { @context.store.preferences.set(KEY, chosen.merge(wanted)) }
          @chosen = nil
          chosen
        end
      end
    end
  end
end
