# frozen_string_literal: true

require "date"
require "digest"
require "icalendar"

module Graver
  module API
    module Serializers
      # The timeline as an iCalendar (RFC 5545), with whole-day events. An event keeps its UID while its kind, axle and
      # vehicle stay the same, so a subscribed calendar moves it and does not double it.
      class Calendar
        REMINDED = %w[look order due fluid inspection retorque first_reading relook job].freeze

        # timelines: [Service::Forecast::Timeline::View]; at: Time of the answer
        def call(timelines, at)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Graver//brakes//EN"
          calendar.append_custom_property(
            "X-WR-CALNAME",
            (
              if timelines.one?
                Say::Texts.t("calendar.title", vehicle: timelines.first.overview.vehicle.name)
              else
                Say::Texts.t("calendar.all")
              end
            )
          )
          timelines.each do |timeline|
            timeline
              .events
              .select { |event| REMINDED.include?(event.kind) }
              .each { |event| calendar.add_event(event(timeline.overview.vehicle, event, at)) }
          end
          calendar.to_ical
        end

        private

        def event(vehicle, event, at)
          Icalendar::Event.new.tap do |entry|
            entry.uid = uid(vehicle, event)
            entry.dtstamp = Icalendar::Values::DateTime.new(at.utc, "tzid" => "UTC")
            entry.dtstart = Icalendar::Values::Date.new(event.date)
            entry.dtend = Icalendar::Values::Date.new(event.date + 1)
            entry.summary = "#{vehicle.name}: #{event.text}"
            entry.description = Say::Texts.t("calendar.description")
            entry.transp = "TRANSPARENT"
          end
        end

        def uid(vehicle, event)
          "#{Digest::SHA256.hexdigest([vehicle.id, event.kind, event.axle, event.row].inspect)[0, 24]}@graver"
        end
      end
    end
  end
end
