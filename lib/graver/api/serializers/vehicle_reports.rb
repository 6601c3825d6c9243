# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # What a report on a vehicle says, part by part.
      class VehicleReports
        PARTS = Sheet::VehicleReport::PARTS.keys.freeze

        # vehicle: as the API answers it; log: [line] of Logbook; sets: [Hash] of Logbook#set; data: { axle id => Hash
        # of BrakeData }; photos: [[bytes, day]]; today: Date
        def initialize(vehicle:, log:, sets:, data:, photos:, today:)
          @vehicle = vehicle
          @log = log
          @sets = sets
          @data = data
          @photos = photos
          @unit = vehicle[:distance_unit]
          @today = today
        end

        # parts: of PARTS -> Hash for Sheet::VehicleReport, with these parts alone
        def call(parts)
          said = (PARTS & parts).to_h { |part| [part.to_sym, method(part).call] }
          { title: t("title", vehicle: @vehicle[:name]), made: t("made", day: @today), foot: t("foot"), **said }
        end

        private

        def t(key, **tokens) = Say::Texts.t("report.#{key}", unit: @unit, **tokens)
        def day(iso) = iso ? Say::Formats.day(Date.iso8601(iso)) : "?"
        def distance(km) = Say::Formats.distance(km, @unit)
        def odometer(km) = Say::Formats.with_unit(Say::Formats.grouped(Say::Formats.in_unit(km, @unit)), @unit)

        # Whoever reads it is somebody else.
        def told(text)
          text
            .gsub(/\b([Yy])our\b/) { Regexp.last_match(1) == "Y" ? "The owner's" : "the owner's" }
            .gsub(/\byou\b/, "the owner")
        end

        def vehicle
          noted = %i[make model year plate vin].filter_map { |key| [t(key.to_s), @vehicle[key]] if @vehicle[key] }
          read = @vehicle[:odometer_km] && [t("odometer"), odometer(@vehicle[:odometer_km])]
          [[t("name"), @vehicle[:name]], *noted, *(read && [read]), [t("state"), state]]
        end

        def state = [@vehicle.dig(:state, :label), @vehicle[:why]].compact.join(". ")

        def brakes
          @vehicle[:axles].map do |axle|
            lines = axle[:reasons].to_a.map { |reason| told(reason[:sentence]) }
            last = axle[:last_inspection]
            read = last && t("last_read", day: last[:date], odometer: odometer(last[:odometer_km]))
            title = t("axle", axle: axle[:name].capitalize, state: axle.dig(:state, :label))
            { title:, corners: axle[:corners], lines: [*read, *lines.first(3)] }
          end
        end

        def fitted
          @sets
            .select { |set| set[:now] }
            .map do |set|
              on = set[:known] ? day(set[:from]) : t("unknown")
              [set[:axle].capitalize, "#{set[:part]}s", on, set[:known] ? distance(set[:km]) : "", bought(set)]
            end
        end

        # By the jobs of the day it was fitted.
        def bought(set) = set[:bought].to_a.join(", ")

        def findings
          @vehicle[:axles].flat_map do |axle|
            axle[:reasons].to_a.map do |reason|
              { severity: axle.dig(:state, :label), text: told(AxleName.tells(axle[:name], reason[:sentence])) }
            end
          end
        end

        def sets
          @sets.map do |set|
            km = set[:km]
            ends = t(set[:now] ? "set_now" : "set_was", km:, from: set[:from], upto: set[:upto])
            [AxleName.before(set[:axle], "#{set[:part]}s"), [ends, went_first(set), *seen(set)].compact]
          end
        end

        def went_first(set)
          return t("never_read") unless set[:first]

          kind = set[:part_of_length]
          said = Say::Lengths.call(set[:left_mm], kind, digits: kind == "pad" ? 1 : 2)
          uneven = set[:stands_out] ? " #{t("uneven", times: set[:uneven])}" : ""
          t("first", position: set[:first].capitalize, left: said) + uneven
        end

        def seen(set)
          return [] if set[:seen].empty?

          [t("seen", what: set[:seen].map { |each| "#{each[:what]} #{each[:mark]} (#{day(each[:day])})" })]
        end

        def history
          @log.map do |line|
            [day(line[:date]), line[:odometer_km] ? odometer(line[:odometer_km]) : "", line[:what], line[:note].to_s]
          end
        end

        def data
          @vehicle[:axles].filter_map do |axle|
            fields = @data.fetch(axle[:id])[:fields]
            sources = @data.fetch(axle[:id])[:sources].to_h { |source| source.values_at(:id, :label) }
            known = fields.select { |field| field[:value] }.map { |field| known(field, sources) }
            open = fields.select { |field| field[:value].nil? && field[:needed_for].any? }.map { |field| field[:label] }
            unknown = open.any? ? t("not_known", what: open) : nil
            { title: t("data_of", axle: axle[:name].capitalize), known:, unknown: }
          end
        end

        def known(field, sources)
          choice = field[:choices].find { |each| each[:id] == field[:value] }
          value = choice ? choice[:label] : [field[:value], field[:unit]].compact.join(" ")
          [told(field[:label]), value, told(sources[field[:source]].to_s)]
        end

        def photos = @photos.map { |bytes, taken| { bytes:, caption: t("photo", day: taken) } }
      end
    end
  end
end
