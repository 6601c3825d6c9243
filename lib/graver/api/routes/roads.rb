# frozen_string_literal: true

module Graver
  module API
    module Routes
      # The road ahead: what is due when, what is planned, and calendars of it.
      module Roads
        def self.registered(app)
          app.helpers do
            def road(overview) = Service::Forecast::Timeline.new(context).call(overview)
            def road_json(vehicle_id) = Serializers::Roads.new(knowledge).call(road(overviews.find(vehicle_id)), Service::Axles::ScheduleChoices.new(context).chosen)

            # Subscribed to by a calendar on the same machine, or saved as a file.
            def calendar(roads)
              content_type "text/calendar", charset: "utf-8"
              headers "Content-Disposition" => "attachment; filename=\"brakes.ics\"" if params["save"]
              Serializers::Calendar.new.call(roads, context.time)
            end
          end

          app.get("/roads") { answer({ today: context.today.iso8601, vehicles: overviews.all.map { |overview| Serializers::Roads.new(knowledge).line(road(overview)) } }) }
          app.get("/calendar.ics") { calendar(overviews.all.map { |overview| road(overview) }) }
          app.get("/vehicles/:id/road") { answer(road_json(id)) }
          app.get("/vehicles/:id/calendar.ics") { calendar([road(overviews.find(id))]) }

          app.post("/vehicles/:id/ahead") do
            Service::Axles::PlansAhead.new(context).add(id, payload(Contracts::PlannedAhead))
            answer(road_json(id), 201)
          end

          app.delete("/ahead/:id") { answer(road_json(Service::Axles::PlansAhead.new(context).remove(id))) }
          app.post("/ahead/:id/restore") { answer(road_json(Service::Axles::PlansAhead.new(context).restore(id))) }

          app.post("/vehicles/:id/odometer") do
            Service::Household::RecordOdometer.new(context).call(id, payload(Contracts::DateAndOdometer))
            answer(road_json(id), 201)
          end

          app.put("/schedule") { answer({ choices: Service::Axles::ScheduleChoices.new(context).choose(payload(Contracts::ScheduleChange)) }) }
        end
      end
    end
  end
end
