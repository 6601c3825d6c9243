# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Corrects, voids or restores a reading (or, with no `reading`, the inspection itself).
      class InspectionCorrection < Contract
        json do
          optional(:reading).filled(:integer)
          optional(:condition).filled(:integer)
          optional(:mark).filled(:string, max_size?: 40)
          required(:reason).value(:string, max_size?: 400)
          optional(:void).filled(:bool)
          optional(:value).filled(:string, max_size?: 40)
          optional(:upper).maybe(:string, max_size?: 40)
          optional(:unit).filled(:string, included_in?: READING_UNITS)
          optional(:method).filled(:string, included_in?: READING_METHODS)
          optional(:overall).filled(:bool)
          optional(:date).filled(:string, max_size?: 20)
          optional(:odometer).hash(ODOMETER)
          optional(:note).maybe(:string, max_size?: LONGEST_TEXT)
        end
      end
    end
  end
end
