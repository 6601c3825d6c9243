# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Approaches with their options and the chosen one.
      module Approaches
        module_function

        # chosen: { kind => option id }; here: those chosen for one job only
        def call(knowledge, chosen, here = [])
          all = Service::Household::Approaches.all(knowledge)
          groups = knowledge.approaches.fetch("groups")
          in_groups = chosen.sort_by.with_index { |(kind, _), at| [groups.keys.index(all.dig(kind, "group")), at] }
          in_groups.map do |kind, id|
            {
              id: kind,
              label: all.dig(kind, "label"),
              group: groups.fetch(all.dig(kind, "group")),
              chosen: id,
              default: all.dig(kind, "default"),
              here: here.include?(kind),
              options: all.dig(kind, "options").map { |option, entry| option(option, entry) }
            }
          end
        end

        def option(id, entry) = { id:, label: entry["label"], because: entry["because"] }
      end
    end
  end
end
