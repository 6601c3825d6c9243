# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A change of a vehicle.
      class VehicleChange < Contract
        json do
          optional(:name).filled(:string, max_size?: 60)
          optional(:distance_unit).filled(:string, included_in?: DISTANCE_UNITS)
          optional(:drive).filled(:string, included_in?: DRIVES)
          optional(:archived).filled(:bool)
          Service::Household::ChangeVehicle::NOTES.each { |note| optional(note).maybe(:string, max_size?: 60) }
        end

        rule(:name) { key.failure(Say::Texts.t("faults.name")) if key? && value.strip.empty? }
      end
    end
  end
end
