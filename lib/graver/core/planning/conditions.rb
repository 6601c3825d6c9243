# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Where something applies: { "calipers" => ["fixed_opposed"], "work" => ["pads", "rotors_new"], "sensors" =>
      # true }.
      # Every key must be met; a list is met by any of its values. Empty or nil: everywhere.
      module Conditions
        module_function

        # configuration: { "calipers" => "fixed_opposed", "work" => ["pads", "open"], "sensors" => false, ... }
        def met?(conditions, configuration)
          (conditions || {}).all? { |key, wanted| value_met?(wanted, configuration[key]) }
        end

        def value_met?(wanted, given)
          return wanted == given unless wanted.is_a?(Array)

          given.is_a?(Array) ? wanted.intersect?(given) : wanted.include?(given)
        end
      end
    end
  end
end
