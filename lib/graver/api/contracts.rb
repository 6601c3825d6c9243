# frozen_string_literal: true

require "dry/validation"

module Graver
  module API
    # Shapes that several contracts share.
    module Contracts
      KINDS = {
        "car" => "Car",
        "van" => "Van",
        "off_roader" => "Off-roader",
        "pickup" => "Pickup",
        "motorcycle" => "Motorcycle",
        "trailer" => "Trailer"
      }.freeze

      DISTANCE_UNITS = %w[km mi].freeze
      DRIVES = %w[combustion hybrid electric].freeze

      ODOMETER =
        Dry::Schema.JSON do
          required(:value).filled(:string, max_size?: 20)
          optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
          optional(:keep).filled(:bool)
          optional(:simulated).filled(:bool)
        end

      # Of a disc brake, and the shoes of a drum brake.
      PADS = Core::Measurement::Positions::PADS.values.flatten.freeze

      READING_METHODS = %w[micrometer caliper vernier rule gauge photo visual percent dial].freeze

      # How a new part's thickness was found: measured, or as sold.
      FITTED_METHODS = %w[micrometer caliper vernier rule stated].freeze

      READING_UNITS = %w[mm in thou 32nd 100th percent share].freeze

      # A question answered by the owner, as the preview asked it.
      FLAG =
        Dry::Schema.JSON do
          required(:code).filled(:string, max_size?: 40)
          required(:question).filled(:string, max_size?: 400)
          optional(:value).maybe(:string, max_size?: 40)
          optional(:unit).maybe(:string, max_size?: 10)
          required(:answer).filled(
            :string,
            included_in?: %w[again other_unit with_plate swap affirmed keep earlier_wrong fitted]
          )
        end

      READING =
        Dry::Schema.JSON do
          required(:axle).filled(:integer)
          required(:part).filled(:string, max_size?: 20)
          optional(:side).maybe(:string, included_in?: %w[left right])
          optional(:pad).maybe(:string, included_in?: PADS)
          required(:event).filled(:string, included_in?: %w[reading fit squealer sensor metal resurfaced freed])
          optional(:method).maybe(:string, included_in?: READING_METHODS)
          optional(:values).value(:array, max_size?: 12).each(:string, max_size?: 40)
          optional(:upper).maybe(:string, max_size?: 40)
          optional(:unit).maybe(:string, included_in?: READING_UNITS)
          optional(:overall).filled(:bool)
          optional(:instrument).maybe(:integer)
          optional(:answer).maybe(:string, included_in?: %w[affirmed keep earlier_wrong])
          optional(:flags).value(:array, max_size?: 12).each { hash(FLAG) }
          optional(:simulated).filled(:bool)
        end

      CONDITION =
        Dry::Schema.JSON do
          required(:item).filled(:string, max_size?: 40)
          optional(:axle).maybe(:integer)
          optional(:side).maybe(:string, included_in?: %w[left right])
          optional(:face).maybe(:string, included_in?: PADS)
          optional(:mark).maybe(:string, max_size?: 40)
          optional(:value).maybe(:string, max_size?: 20)
          optional(:simulated).filled(:bool)
        end
    end
  end
end
