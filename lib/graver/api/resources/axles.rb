# frozen_string_literal: true

module Graver
  module API
    module Resources
      # What is known, measured and forecast about one axle.
      class Axles < Resource
        get "/axles/:id/brake-data", :brake_data
        post "/axles/:id/brake-data", :record_brake_data
        get "/axles/:id/brake-data/proposals", :brake_data_proposals
        get "/axles/:id/drawing", :axle_drawing
        get "/drawings/:kind", :usual_drawing
        get "/axles/:id/wear", :wear
        get "/axles/:id/what-if", :what_if
        get "/axles/:id/forecast-quality", :forecast_quality
        get "/forecasts-held", :calibration
        get "/axles/:id/torque-settings", :torque_settings

        SUPPOSITIONS = %i[year_distance use factor freed pads pads_mm].freeze
        LONGEST_SUPPOSITION = 40

        def brake_data
          Serializers::BrakeData.new(knowledge).call(Service::Household::BrakeDataSheet.new(context).call(id))
        end

        def record_brake_data
          given = payload(Contracts::BrakeDataEntries)
          if_unchanged(Service::Household::VersionedBrakeData.new(context, id), given) do
            Service::Household::RecordBrakeData.new(context).call(id, given.fetch(:entries))
          end
          brake_data
        end

        # A corner in three dimensions; side: the left one unless named.
        def axle_drawing
          side = record.axle.sides.include?(params["side"]) ? params["side"] : record.axle.sides.first
          axle = overview(record.vehicle.id)
          Serializers::Drawings.new(words).corner(
            drawings.call(record, side, marks: Service::Overview::RotorMarks.call(axle, side))
          )
        end
        def usual_drawing = Serializers::Drawings.new(words).corner(drawings.usual(params["kind"].to_s))

        # from: the axle to copy from; without it, usual values for the caliper.
        def brake_data_proposals
          proposals = Service::Household::BrakeDataProposals.new(context)
          from = params["from"].to_s
          found = from.match?(Exchange::WHOLE_NUMBER) ? proposals.copy(id, from.to_i) : proposals.template(id)
          found.to_h
        end

        def wear
          if params["limit_mm"].to_s.empty?
            vehicle_id = Service::Household::AxleRecords.new(context).vehicle_of(id)
            return kept("wear-#{id}", vehicle_id) { wear_of(overview(vehicle_id)) }
          end

          wear_of(Service::Overview::AxleOverview.new(context).call(record, limit_mm:))
        end
        def what_if
          Serializers::AxleForecasts.new(knowledge).what_if(
            Service::Forecast::WhatIf.new(context).call(record, hypotheses, limit_mm:)
          )
        end
        def forecast_quality
          vehicle = Service::Household::AxleRecords.new(context).vehicle_with(id)
          kind = "quality-#{id}"
          own = part(kind, vehicle) { Serializers::AxleForecasts.new(knowledge).quality(quality.call(id)) }
          { **own.slice(:worth, :choices), backtest: { forecasts: own[:forecasts], garage: calibration } }
        end

        def torque_settings
          settings = Service::Workshop::TorqueWrenches.new(context).settings(id, params["extension_mm"])
          {
            settings:
              settings.map { |fastener, choice| { fastener:, wrench: Serializers::TorqueWrenches.choice(choice) } }
          }
        end

        # Over all vehicles.
        def calibration
          vehicles = Service::Overview::VehicleOverviews.new(context).vehicles
          each = vehicles.map { |vehicle| part("calibration", vehicle) { quality.calibration(vehicle.id) } }
          %i[known covered late].to_h { |name| [name, each.sum { |counts| counts[name] }] }
        end

        private

        def drawings = Service::Household::CornerDrawing.new(knowledge)
        def quality = @quality ||= Service::Forecast::Quality.new(context)

        # What forecasts were stored is part of it.
        def part(kind, vehicle, &block)
          JSON.parse(kept(kind, vehicle.id, beside: quality.stored(vehicle), &block).text, symbolize_names: true)
        end

        # As on every other page.
        def overview(vehicle_id)
          axles = Service::Overview::VehicleOverviews.new(context).find(vehicle_id).axles
          axles.find { |axle| axle.file.axle.id == id }
        end

        def wear_of(overview)
          said = Service::Overview::LastSaid.new(knowledge, overview)
          Serializers::Wear.new(knowledge).call(overview, counter: said.counter, claim: said.claim)
        end

        def record = @record ||= Service::Household::AxleRecords.new(context).find(id)
        def limit_mm = Service::Overview::AskedLimit.call(record, params["limit_mm"])
        def hypotheses = SUPPOSITIONS.to_h { |key| [key, params[key.to_s].to_s[0, LONGEST_SUPPOSITION]] }
      end
    end
  end
end
