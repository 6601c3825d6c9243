# frozen_string_literal: true

require "date"
require "digest"
require "icalendar"

module Graver
  module API
    module Serializers
      # Timelines as an iCalendar (RFC 5545), with whole-day events. An event keeps its UID while its kind, axle and
      # vehicle stay the same, so a subscribed calendar moves it and does not double it.
      module Calendar
        REMINDED = %w[look order due fluid inspection retorque first_reading relook job].freeze

        module_function

        # Service::Forecast::Timeline::View -> [{ uid:, date: ISO 8601, text: }], of one vehicle
        def reminders(timeline)
          vehicle = timeline.overview.vehicle
          timeline
            .events
            .select { |event| REMINDED.include?(event.kind) }
            .map do |event|
              { uid: uid(vehicle, event), date: event.date.iso8601, text: "#{vehicle.name}: #{event.text}" }
            end
        end

        # names: of its vehicles; reminders: of all of them; at: Time of the answer -> text
        def call(names, reminders, at)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Graver//brakes//EN"
          title = names.one? ? Say::Texts.t("calendar.title", vehicle: names.first) : Say::Texts.t("calendar.all")
          calendar.append_custom_property("X-WR-CALNAME", title)
          reminders.each { |reminder| calendar.add_event(event(reminder, at)) }
          calendar.to_ical
        end

        def event(reminder, at)
          day = Date.iso8601(reminder[:date])
          Icalendar::Event.new.tap do |entry|
            entry.uid = reminder[:uid]
            entry.dtstamp = Icalendar::Values::DateTime.new(at.utc, "tzid" => "UTC")
            entry.dtstart = Icalendar::Values::Date.new(day)
            entry.dtend = Icalendar::Values::Date.new(day + 1)
            entry.summary = reminder[:text]
            entry.description = Say::Texts.t("calendar.description")
            entry.transp = "TRANSPARENT"
          end
        end

        def uid(vehicle, event)
          "#{Digest::SHA256.hexdigest([vehicle.id, event.kind, event.axle, event.row].inspect)[0, 24]}@graver"
        end
        private_class_method :event, :uid
      end
    end
  end
end
