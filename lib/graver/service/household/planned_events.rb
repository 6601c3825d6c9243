# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Household
      # A vehicle's planned events: trips, changes of driving, inspections.
      class PlannedEvents
        include Base::FieldErrors

        # rows: [Storage::PlannedEvent]; trips, changes as the core wants them
        Planned = Core::Value.define(:rows, :trips, :changes)
        # What a move changes of an event.
        class Versioned < Base::VersionedRecord
          LABELS = { from_on: "changed.from_on" }.freeze

          # The request calls it so.
          def wanted(given) = { from_on: given[:from] }
        end
        NOTHING = Planned.new(rows: [], trips: [], changes: [])
        DAYS_A_YEAR = 365.25
        FURTHEST_YEARS = 10
        MOST = 60
        # km of one trip, of one year; how much harder or easier on the brakes
        TRIP_KM = (1..40_000)
        YEAR_KM = (0..300_000)
        WEAR_FACTOR = (0.1..10)
        # Events that can be moved to another day.
        MOVED = %w[trip inspection].freeze

        def initialize(context)
          @context = context
          @store = context.store
        end

        # [Storage::Vehicle] -> { vehicle id => Planned }
        def of(vehicles)
          rows = @store.planned_events.of_vehicles(vehicles.map(&:id))
          vehicles.to_h { |vehicle| [vehicle.id, planned(rows.fetch(vehicle.id, []))] }
        end

        # given: { kind:, name:, from:, to:, distance:, unit:, wear_factor: }, texts as typed. Raises InvalidEntry,
        # NotFound.
        def add(vehicle_id, given)
          vehicle = @store.vehicles.find(vehicle_id)
          if of([vehicle]).fetch(vehicle.id).rows.length >= MOST
            raise InvalidEntry.of("", "too_many", Message.of("faults.too_many_planned", most: MOST))
          end

          @faults = []
          row = row(given, vehicle)
          raise_faults

          @store.transaction { @store.planned_events.add(vehicle.id, row, at: @context.now) }
        end

        # Moves an event to another day, keeping its length: from: text; kinds: those allowed -> [Storage::PlannedEvent
        # as it was, { from_on:, to_on: } Dates]. Raises NotFound, InvalidEntry.
        def moved(id, from, kinds: MOVED)
          row = @store.planned_events.find(id)
          @faults = []
          length = row.to_on && (row.to_on - row.from_on).to_i
          start, = read_days({ kind: row.kind, from: })
          fault("from", "out_of_range", Message.of("faults.only_trips_move")) unless kinds.include?(row.kind)
          raise_faults

          [row, { from_on: start, to_on: length && (start + length) }]
        end

        # Keeps that. -> vehicle id
        def move(id, from)
          _, days = moved(id, from)
          @store.transaction { @store.planned_events.move(id, **days.transform_values { |day| day&.iso8601 }) }
        end

        # As two windows may move it.
        def versioned_fields(id) = Versioned.new(-> { @store.planned_events.find(id) })

        # Storage::PlannedEvent -> Core::Schedule::Trip
        def trip(row)
          Core::Schedule::Trip.new(
            from: row.from_on,
            to: row.to_on || row.from_on,
            km: km(row),
            wear_factor: factor(row)
          )
        end

        # -> vehicle id. Raise NotFound.
        def remove(id) = @store.transaction { @store.planned_events.remove(id, at: @context.now) }
        def restore(id) = @store.transaction { @store.planned_events.restore(id) }

        private

        def planned(rows)
          kinds = rows.group_by(&:kind)
          Planned.new(
            rows:,
            trips: kinds.fetch("trip", []).map { |row| trip(row) },
            changes: kinds.fetch("driving", []).map { |row| change(row) }
          )
        end

        def change(row)
          Core::Schedule::Change.new(
            from: row.from_on,
            km_per_day: row.distance && (km(row) / DAYS_A_YEAR),
            wear_factor: factor(row)
          )
        end
        def km(row) = Core::Quantity::DISTANCE.to_base(number(row.distance), row.unit)
        def factor(row) = row.wear_factor ? number(row.wear_factor).to_f : 1.0
        def number(text) = Core::Quantity::EnteredNumber.parse(text).value

        def row(given, vehicle)
          from, to = read_days(given)
          {
            kind: given[:kind],
            name: name(given),
            from_on: from&.iso8601,
            to_on: to&.iso8601,
            unit: given[:unit] || vehicle.distance_unit,
            distance: under("distance") { distance(given, given[:unit] || vehicle.distance_unit) },
            wear_factor: under("wear_factor") { read_factor(given) }
          }
        end

        def name(given)
          text = given[:name].to_s.strip
          text.empty? ? @context.knowledge.schedule.dig("entries", given[:kind], "label") : text
        end

        def read_days(given)
          from = day("from", given[:from])
          to = given[:kind] == "trip" && !blank?(given[:to]) ? day("to", given[:to]) : nil
          check_length(from, to) if from && to
          last = to || from
          if last && given[:kind] != "driving" && last < @context.today
            fault(to ? "to" : "from", "in_past", Message.of("faults.past_event"))
          end
          [from, to]
        end

        def check_length(from, to)
          fault("to", "out_of_range", Message.of("faults.trip_ends")) if to < from
          fault("to", "out_of_range", Message.of("faults.trip_too_long")) if to > from + 366
        end

        def day(field, text)
          date = Date.iso8601(text.to_s)
          return date if date.between?(@context.today << 120, @context.today >> (12 * FURTHEST_YEARS))

          fault(field, "out_of_range", Message.of("faults.day_too_far", years: FURTHEST_YEARS))
        rescue Date::Error
          fault(field, "not_a_day", Message.of("faults.not_a_day", example: @context.today.iso8601))
        end

        def distance(given, unit)
          if given[:kind] == "inspection" ||
               (given[:kind] == "driving" && blank?(given[:distance]) && !blank?(given[:wear_factor]))
            return
          end

          km = Core::Quantity::DISTANCE.to_base(number(given[:distance].to_s), unit)
          range = given[:kind] == "trip" ? TRIP_KM : YEAR_KM
          unless range.cover?(km)
            fault(
              "distance",
              "out_of_range",
              Message.of(
                given[:kind] == "driving" ? "faults.year_distance_between" : "faults.distance_between",
                least: range.min,
                most: range.max
              )
            )
          end
          given[:distance].to_s.strip
        end

        def read_factor(given)
          return if blank?(given[:wear_factor]) || given[:kind] == "inspection"

          unless WEAR_FACTOR.cover?(number(given[:wear_factor]))
            fault(
              "wear_factor",
              "out_of_range",
              Message.of("faults.factor_between", least: WEAR_FACTOR.min, most: WEAR_FACTOR.max)
            )
          end
          given[:wear_factor].strip
        end

        def blank?(text) = text.to_s.strip.empty?
      end
    end
  end
end
