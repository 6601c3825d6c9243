# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A new vehicle.
      class NewVehicle < Contract
        json do
          required(:name).filled(:string, max_size?: 60)
          required(:kind).filled(:string, included_in?: KINDS.keys)
          optional(:distance_unit).filled(:string, included_in?: DISTANCE_UNITS)
          optional(:drive).filled(:string, included_in?: DRIVES)
          optional(:axles).filled(:integer, included_in?: Service::Household::AddVehicle::TRAILER_AXLES.keys)
          optional(:brakes).filled(:string, included_in?: Service::Household::AddVehicle::TRAILER_BRAKES)
          optional(:discs).hash do
            optional(:front).filled(:integer, included_in?: [1, 2])
            optional(:rear).filled(:integer, included_in?: [1, 2])
          end
          optional(:disc_sides).hash do
            optional(:front).filled(:string, included_in?: Service::Household::AddVehicle::BOTH)
            optional(:rear).filled(:string, included_in?: Service::Household::AddVehicle::BOTH)
          end
        end

        # Other vehicles have two axles, and say later what brakes are on them.
        %i[axles brakes].each do |field|
          rule(field, :kind) do
            key(field).failure(Say::Texts.t("faults.trailers_only")) if key?(field) && values[:kind] != "trailer"
          end
        end
        rule(:name) { key.failure(Say::Texts.t("faults.name")) if value.strip.empty? }
      end
    end
  end
end
