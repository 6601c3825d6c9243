# frozen_string_literal: true

require_relative "contract"

module Graver
  module API
    module Contracts
      KINDS = { "car" => "Car", "van" => "Van", "off_roader" => "Off-roader", "motorcycle" => "Motorcycle" }.freeze
      DISTANCE_UNITS = %w[km mi].freeze

      # A new vehicle.
      class NewVehicle < Contract
        json do
          required(:name).filled(:string, max_size?: 60)
          required(:kind).filled(:string, included_in?: KINDS.keys)
          optional(:distance_unit).filled(:string, included_in?: DISTANCE_UNITS)
          optional(:discs).hash do
            optional(:front).filled(:integer, included_in?: [1, 2])
            optional(:rear).filled(:integer, included_in?: [1, 2])
          end
        end

        rule(:name) { key.failure("needs a name you know it by") if value.strip.empty? }
      end

      # A change of a vehicle.
      class VehicleChange < Contract
        json do
          optional(:name).filled(:string, max_size?: 60)
          optional(:distance_unit).filled(:string, included_in?: DISTANCE_UNITS)
          optional(:archived).filled(:bool)
        end

        rule(:name) { key.failure("needs a name you know it by") if key? && value.strip.empty? }
      end
    end
  end
end
