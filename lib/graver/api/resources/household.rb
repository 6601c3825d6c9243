# frozen_string_literal: true

module Graver
  module API
    module Resources
      # The catalogue, the garage and its vehicles; the bin.
      class Household < Resource
        get "/health", :health
        get "/catalogue", :catalogue
        get "/garage", :garage
        get "/places", :places
        post "/vehicles", :add_vehicle, 201
        get "/vehicles/:id", :vehicle
        patch "/vehicles/:id", :change_vehicle
        post "/vehicles/:id/fluid-renewals", :renew_fluid, 201
        get "/bin", :bin
        get "/help", :help
        get "/vocabulary", :vocabulary
        put "/vocabulary", :choose_vocabulary
        get "/units", :units
        put "/units", :choose_units

        def health = { status: context.reachable? ? "ok" : "down" }
        def catalogue = Serializers::Catalogue.new(knowledge).call(context.today)
        def garage = CachedJson.new(GarageCards.new(context).call(all: params["all"]))
        def places
          { vehicles: Service::Household::Places.new(context).all.map { |place| Serializers::Places.call(place) } }
        end
        def add_vehicle = vehicle(Service::Household::AddVehicle.new(context).call(payload(Contracts::NewVehicle)).id)
        def vehicle(of = id)
          kept("vehicle", of) { Serializers::Vehicles.new(knowledge, context.today).call(overviews.find(of)) }
        rescue NotFound
          raise
        rescue StandardError => e
          ErrorLog.report(e)
          Serializers::Vehicles.new(knowledge, context.today).call(overviews.unworked(overviews.vehicle(of), e))
        end

        def change_vehicle
          given = payload(Contracts::VehicleChange)
          if_unchanged(Service::Household::VersionedVehicle.new(context, id), given) do
            Service::Household::ChangeVehicle.new(context).call(id, given)
          end
          vehicle
        end

        def renew_fluid
          Service::Measuring::RecordFluidRenewal.new(context).call(id, payload(Contracts::DateAndOdometer))
          vehicle
        end

        def vocabulary = with_revision({ english: Say::Spoken.english }, "words")
        def choose_vocabulary = choose("words", payload(Contracts::VocabularyChange))
        def units = with_revision(chosen("units").chosen, "units")
        def choose_units = choose("units", payload(Contracts::UnitsChange))
        def help = Serializers::Help.call(knowledge)
        def bin = Serializers::Bin.new(knowledge).call(Service::Household::Bin.new(context).contents)

        private

        def overviews = Service::Overview::VehicleOverviews.new(context)
        def with_revision(answer, of) = { **answer, revision: revision(chosen(of).versioned_fields.now) }
        def choose(of, given)
          with_revision(if_unchanged(chosen(of).versioned_fields, given) { chosen(of).choose(given) }, of)
        end
        def chosen(of) = Service::Household::Chosen.new(context, of)
      end
    end
  end
end
