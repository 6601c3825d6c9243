# frozen_string_literal: true

require_relative "contract"

module Graver
  module API
    module Contracts
      # Somebody's word on a part.
      class Claim < Contract
        json do
          required(:axle).filled(:integer)
          required(:part).filled(:string, included_in?: %w[pad rotor])
          required(:value).value(:string, max_size?: 20)
          optional(:unit).maybe(:string, included_in?: %w[mm in 32nd thou 100th])
        end
      end

      # Schools followed.
      class SchoolChoice < Contract
        json do
          %i[pads rotors clips bleed fluid_back deglaze bed_in].each { |kind| optional(kind).filled(:string, max_size?: 20) }
        end
      end

      # Something noticed, and the answers to what was asked about it.
      class Symptom < Contract
        json do
          required(:symptom).filled(:string, max_size?: 30)
          optional(:answers).hash do
            %i[when where how which].each { |question| optional(question).filled(:string, max_size?: 30) }
          end
        end
      end
    end
  end
end
