# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Which of the owner's approaches hold for one axle and its works: where one has no place, its default does.
      module Approaches
        module_function

        # approaches: { kind => { "default", "where", "unless", ... } } of knowledge/rules/approaches.yml; chosen: {
        # kind => option }; configuration as in Conditions.met?, with "work" -> ["bed_in.maker", ...] as the steps name
        # them
        def call(approaches, chosen, configuration)
          approaches.map do |kind, approach|
            # what was chosen of an earlier version may be gone
            known = approach["options"].key?(chosen[kind]) && here?(approach, configuration)
            "#{kind}.#{known ? chosen[kind] : approach["default"]}"
          end
        end

        # configuration with the approaches that hold, as "approaches", and what they mean added to its "work"
        def applied(approaches, chosen, configuration)
          held = call(approaches, chosen, configuration)
          means = held.flat_map { |each| approaches.dig(*each.split(".", 2).insert(1, "options"))["means"] || [] }
          { **configuration, "approaches" => held, "work" => configuration.fetch("work") | means }
        end

        def here?(approach, configuration)
          Conditions.met?(approach["where"], configuration) &&
            (approach["unless"].nil? || !Conditions.met?(approach["unless"], configuration))
        end
      end
    end
  end
end
