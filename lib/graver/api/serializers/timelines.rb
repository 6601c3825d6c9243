# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A vehicle's timeline, and the household's planning choices.
      class Timelines
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Forecast::Timeline::View
        def call(timeline)
          {
            **line(timeline),
            sessions: timeline.sessions.map { |session| session(session) },
            planned: planned(timeline),
            entries:
              @knowledge
                .schedule
                .fetch("entries")
                .map { |kind, entry| { kind:, label: entry["label"], note: entry["note"] } }
          }
        end

        # Service::Forecast::Ahead::Step
        def step(step)
          {
            days: step.days,
            date: step.date.iso8601,
            km: step.km.round,
            axles:
              step.axles.map do |axle|
                { **axle.to_h.slice(:name, :brakes), pads: axle.pads&.round(3), rotors: axle.rotors&.round(3) }
              end
          }
        end

        # Service::Forecast::MovedTrip::Moved
        def moved(moved)
          {
            from: moved.from.iso8601,
            to: moved.to.iso8601,
            axles:
              moved.axles.map do |axle|
                axle.to_h.transform_values { |value| value.is_a?(Float) ? value.round(3) : value }
              end
          }
        end

        # The household's options, with the chosen ones.
        def choices(chosen)
          @knowledge
            .schedule
            .fetch("choices")
            .map do |id, choice|
              {
                id:,
                label: choice["label"],
                value: chosen.fetch(id),
                least: choice["least"],
                most: choice["most"],
                usual: choice["value"],
                **options(choice)
              }
            end
        end

        def options(choice)
          return {} unless choice["options"]

          { options: choice["options"].map { |id, label| { id: id.to_s, label: label.capitalize } } }
        end

        # One vehicle on the garage's timeline.
        def line(timeline)
          vehicle = timeline.overview.vehicle
          {
            vehicle_id: vehicle.id,
            vehicle_name: vehicle.name,
            distance_unit: vehicle.distance_unit,
            events: timeline.events.map { |event| event(event, timeline.overview.fluid) }
          }
        end

        private

        def event(event, fluid)
          {
            kind: event.kind,
            axle: event.axle,
            date: event.date.iso8601,
            km: event.km.round,
            until: event.until_date&.iso8601,
            text: event.text,
            label: label(event, fluid),
            row: event.row
          }
        end

        # Events the owner named keep their name.
        def label(event, fluid)
          if event.kind == "fluid"
            return Say::Texts.t(fluid.overdue_days.positive? ? "timeline.fluid_late" : "timeline.fluid_soon")
          end

          event.axle ? Say::Texts.t("timeline.label_#{event.kind}") : event.text
        end

        def session(session)
          {
            axles: session.axles,
            date: session.date.iso8601,
            km: session.km.round,
            fluid: session.fluid,
            text: session.text
          }
        end

        def planned(timeline)
          timeline.overview.axles.first.file.planned.rows.map do |row|
            {
              id: row.id,
              kind: row.kind,
              name: row.name,
              from: row.from_on.iso8601,
              to: row.to_on&.iso8601,
              distance: row.distance,
              unit: row.unit,
              wear_factor: row.wear_factor,
              revision: Service::Base::Revision.of(Service::Household::PlannedEvents::Versioned.fields(row))
            }
          end
        end
      end
    end
  end
end
