# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Schools followed.
      class SchoolChoice < Contract
        json do
          %i[pads rotors clips bleed fluid_back deglaze bed_in].each do |kind|
            optional(kind).filled(:string, max_size?: 20)
          end
        end
      end
    end
  end
end
