# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # The other pad of the same corner ("left_inner" and "left_outer"); a rotor has none.
      module OppositePad
        module_function

        # -> id, or nil
        def of(component, components)
          return unless component.include?("_")

          components.find { |other| other != component && other.split("_").first == component.split("_").first }
        end
      end
    end
  end
end
