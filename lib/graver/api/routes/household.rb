# frozen_string_literal: true

module Graver
  module API
    module Routes
      # The catalogue, the garage and its vehicles.
      module Household
        def self.registered(app)
          app.helpers do
            def overviews = Service::Overview::VehicleOverviews.new(context)
            def vehicle_json(id) = Serializers::Vehicles.new(knowledge).call(overviews.find(id))
          end

          app.get("/catalogue") { answer(Serializers::Catalogue.new(knowledge).call(context.today)) }
          app.get("/garage") { answer(Serializers::Vehicles.new(knowledge).garage(overviews.all, context.today)) }

          app.post("/vehicles") do
            given = { distance_unit: "km" }.merge(payload(Contracts::NewVehicle))
            answer(vehicle_json(Service::Household::AddVehicle.new(context).call(given.merge(name: given[:name].strip)).id), 201)
          end

          app.get("/vehicles/:id") { answer(vehicle_json(id)) }

          app.patch("/vehicles/:id") do
            given = payload(Contracts::VehicleChange)
            context.store.vehicles.find(id)
            changes = given.slice(:name, :distance_unit)
            changes[:archived_at] = given[:archived] ? context.now : nil if given.key?(:archived)
            context.store.transaction { context.store.vehicles.change(id, changes) }
            answer(vehicle_json(id))
          end

          app.post("/vehicles/:id/fluid-renewals") do
            Service::Household::RecordFluidRenewal.new(context).call(id, payload(Contracts::DateAndOdometer))
            answer(vehicle_json(id), 201)
          end
        end
      end
    end
  end
end
