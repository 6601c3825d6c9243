# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The owner's approaches that apply to one axle and its works; elsewhere the default applies.
      module Approaches
        module_function

        # approaches: { kind => { "default", "where", "unless", ... } } of knowledge/rules/approaches.yml; chosen: {
        # kind => option }; configuration as in Conditions.met?, with "work" -> ["bed_in.maker", ...] as the steps name
        # them
        def call(approaches, chosen, configuration)
          approaches.map do |kind, approach|
            # an earlier version may have had other options
            known = approach["options"].key?(chosen[kind]) && here?(approach, configuration)
            "#{kind}.#{known ? chosen[kind] : approach["default"]}"
          end
        end

        # configuration with its approaches, as "approaches", and their meanings added to its "work"
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
