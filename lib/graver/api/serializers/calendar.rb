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
        REMINDED = %w[look renew order due fluid inspection retorque first_reading relook job].freeze

        module_function

        # Service::Forecast::Timeline::View, Time -> text: the events of one vehicle
        def events(timeline, at)
          vehicle = timeline.overview.vehicle
          reminded = timeline.events.select { |event| REMINDED.include?(event.kind) }
          reminded.map { |event| event(vehicle, event, at).to_ical }.join
        end

        # names: of its vehicles; events: [text], of each -> text
        def call(names, events)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Graver//brakes//EN"
          title = names.one? ? Say::Texts.t("calendar.title", vehicle: names.first) : Say::Texts.t("calendar.all")
          calendar.append_custom_property("X-WR-CALNAME", title)
          calendar.to_ical.sub(/(?=^END:VCALENDAR)/) { events.join }
        end

        def event(vehicle, event, at)
          Icalendar::Event.new.tap do |entry|
            entry.uid = uid(vehicle, event)
            entry.dtstamp = Icalendar::Values::DateTime.new(at.utc, "tzid" => "UTC")
            entry.dtstart = Icalendar::Values::Date.new(event.date)
            entry.dtend = Icalendar::Values::Date.new(event.date + 1)
            entry.summary = "#{vehicle.name}: #{event.text}"
            entry.description = Say::Texts.t("calendar.description")
            entry.transp = "TRANSPARENT"
            remind(entry)
          end
        end

        # At nine on that day.
        def remind(entry)
          entry.alarm do |alarm|
            alarm.action = "DISPLAY"
            alarm.trigger = "PT9H"
            alarm.description = entry.summary
          end
        end

        def uid(vehicle, event)
          "#{Digest::SHA256.hexdigest([vehicle.id, event.kind, event.axle, event.row].inspect)[0, 24]}@graver"
        end
        private_class_method :event, :remind, :uid
      end
    end
  end
end
