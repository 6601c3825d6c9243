# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A vehicle with the pages it can be opened at.
      module Places
        # Service::Household::Places::Place
        def self.call(place)
          vehicle = place.vehicle
          {
            **vehicle.to_h.slice(:id, :name, :kind, :distance_unit),
            axles: vehicle.axles.map { |axle| axle.to_h.slice(:id, :name) },
            check: place.check,
            job: place.job&.id
          }
        end
      end
    end
  end
end
