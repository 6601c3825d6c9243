# frozen_string_literal: true

module Graver
  module API
    module Resources
      # What is due when, what is planned, and calendars of both.
      class Timelines < Resource
        get "/timelines", :timelines
        get "/calendar.ics", :calendar
        get "/feeds/:token/brakes.ics", :feed
        get "/calendar-feed", :calendar_feed
        put "/calendar-feed", :open_calendar_feed
        delete "/calendar-feed", :close_calendar_feed
        withhold :calendar_feed
        get "/vehicles/:id/timeline", :timeline
        get "/vehicles/:id/risk-by-date", :risk_by_date
        get "/vehicles/:id/calendar.ics", :vehicle_calendar
        post "/vehicles/:id/planned-events", :plan_event, 201
        delete "/planned-events/:id", :drop_planned_event
        post "/planned-events/:id/restore", :restore_planned_event
        get "/planned-events/:id/preview-move", :preview_move
        post "/planned-events/:id/move", :move_planned_event
        post "/vehicles/:id/odometer", :note_odometer, 201
        get "/schedule", :schedule_chosen
        put "/schedule", :change_schedule

        def timelines
          lines = overviews.vehicles.filter_map { |vehicle| part { line(vehicle.id) } }
          CachedJson.new(%({"today":#{JSON.generate(context.today.iso8601)},"vehicles":[#{lines.join(",")}]}))
        end
        def calendar = ics(overviews.vehicles) { |vehicle| part { reminders(vehicle) } }
        # The same for a calendar anywhere in the network. Raises NotFound.
        def feed
          raise NotFound, Say::Texts.t("missing.address") unless feed_of.right?(params["token"])

          calendar
        end

        def calendar_feed
          token = feed_of.token
          path = "api/v1/feeds/#{token}/brakes.ics"
          { path: ("/#{path}" if token), network: ("#{@exchange.network.root}#{path}" if token && listening?) }
        end

        def open_calendar_feed
          feed_of.open
          calendar_feed
        end

        def close_calendar_feed
          feed_of.close
          calendar_feed
        end

        def timeline(vehicle_id = id)
          kept("timeline", vehicle_id) { serializer.call(view(overviews.find(vehicle_id))) }
        end
        def risk_by_date
          kept("ahead", id) do
            { steps: Service::Forecast::Ahead.new(context).call(id).map { |step| serializer.step(step) } }
          end
        end
        def vehicle_calendar = ics([overviews.vehicle(id)]) { |vehicle| reminders(vehicle) }

        def plan_event
          planned.add(id, payload(Contracts::NewPlannedEvent))
          timeline
        end

        def drop_planned_event = timeline(planned.remove(id))
        def restore_planned_event = timeline(planned.restore(id))

        def preview_move = serializer.moved(Service::Forecast::MovedTrip.new(context).call(id, params["from"]))
        def move_planned_event
          given = payload(Contracts::MovePlannedEvent)
          timeline(if_unchanged(planned.versioned_fields(id), given) { planned.move(id, given[:from]) })
        end

        def note_odometer
          Service::Measuring::RecordOdometer.new(context).call(id, payload(Contracts::DateAndOdometer))
          timeline
        end

        def change_schedule
          given = payload(Contracts::ScheduleChange)
          if_unchanged(schedule.versioned_fields, given) { schedule.choose(given) }
          schedule_chosen
        end

        def schedule_chosen
          { choices: serializer.choices(schedule.chosen), revision: revision(schedule.chosen) }
        end

        private

        def feed_of = Service::Household::CalendarFeed.new(context)
        def listening? = @exchange.network.listening?
        def overviews = Service::Overview::VehicleOverviews.new(context)
        def planned = Service::Household::PlannedEvents.new(context)
        def schedule = Service::Household::ScheduleChoices.new(context)
        def serializer = Serializers::Timelines.new(knowledge)
        def view(overview) = Service::Forecast::Timeline.new(context).call(overview)
        # One vehicle's timeline as JSON.
        def line(vehicle_id) = kept("line", vehicle_id) { serializer.line(view(overviews.find(vehicle_id))) }.text

        # One vehicle's events for a calendar, stamped when they were made.
        def reminders(vehicle)
          context
            .response_cache
            .fetch(context, "calendar", vehicle.id) do
              Serializers::Calendar.events(view(overviews.find(vehicle.id)), context.time)
            end
        end

        # A vehicle that cannot be calculated does not stop the others.
        def part
          yield
        rescue StandardError => e
          ErrorLog.report(e)
          nil
        end

        # A calendar on the same machine subscribes to it, or it is saved as a file.
        def ics(vehicles, &reminders)
          Download.new(
            type: "text/calendar",
            body: Serializers::Calendar.call(vehicles.map(&:name), vehicles.filter_map(&reminders)),
            disposition: ("attachment; filename=\"brakes.ics\"" if params["save"])
          )
        end
      end
    end
  end
end
