# frozen_string_literal: true

require "forwardable"

module Graver
  module Service
    module Household
      # Everything on file about one axle, in the core's terms.
      class AxleRecord
        extend Forwardable

        # Data shared by all vehicles of the household. instruments: { id => Core::Measurement::Instrument };
        # limit: Core::Judgement::PadLimit at which pads are done when the owner set none; floor: the one under which
        # the vehicle must not be driven.
        Shared = Core::Value.define(:knowledge, :instruments, :limit, :floor)

        # AxleRecords of the vehicle's other axles
        attr_accessor :siblings
        attr_reader :vehicle, :axle, :data, :inspections, :planned

        # data: { key => Storage::BrakeDatum }; inspections: all of the vehicle, oldest first.
        # planned: PlannedEvents::Planned of the vehicle.
        # sources: { key => [Storage::BrakeDatum] }, the newest of each source where they were not chosen among
        def initialize(vehicle:, axle:, data:, inspections:, shared:, sources: {}, planned: PlannedEvents::NOTHING)
          @vehicle = vehicle
          @axle = axle
          @data = data
          @inspections = inspections
          @shared = shared
          @knowledge = shared.knowledge
          @sources = sources
          @planned = planned
          @siblings = []
          @computed = {}
        end

        # The block's result, computed once (as by Snapshot#once).
        def once(key) = @computed.fetch(key) { @computed[key] = yield }

        # The block's result for the last key alone: of what is asked again while an owner types.
        def latest(key)
          known, answer = @latest
          return answer if known == key

          yield.tap { |made| @latest = [key, made] }
        end

        # -> EnteredNumber of a datum, or nil
        def number(key) = once([:number, key]) { data[key] && Core::Quantity::EnteredNumber.parse(data[key].value) }
        # -> the option chosen, by id, or nil
        def choice(key) = data[key]&.value
        # -> whole number, or nil
        def count(key) = number(key)&.value&.to_i

        # -> mm, or nil
        def length_mm(key)
          once([:length_mm, key]) do
            datum = data[key]
            datum && Core::Quantity::LENGTH.to_base(number(key).value, datum.unit)
          end
        end

        # The properties of this axle (BrakeDataCatalogue#place).
        def place
          @place ||=
            @knowledge.brake_data.place(vehicle.kind, axle.name, powers: vehicle.drive) { |field| choice(field) }
        end

        # What discs or drums mean for it.
        def brake_kind = @brake_kind ||= BrakeKind.new(place, vehicle)
        def_delegators :brake_kind, :drum?, :hydraulic?, :pads, :part_name, :wears_as

        # Core::Judgement::PadLimit under which it must not be driven.
        def floor = @floor ||= @shared.floor.for(brake_kind.limited_as)

        # The trade's sentences in the words of this brake and its owner's distances.
        def wording = @wording ||= Base::Wording.new(vehicle.distance_unit, @knowledge.brake_data.terms(place))

        # Sides that carry a wear sensor.
        def sensor_sides
          sides = { "left" => ["left"], "right" => ["right"], "both" => axle.sides }
          sides.fetch(choice("wear_sensor"), []) & axle.sides
        end

        # nil if unknown; "none" on an axle that has none by its nature.
        def parking_brake = place["parking_brakes"]

        # -> ml, or nil
        def volume_ml(key) = data[key] && Core::Quantity::VOLUME.to_base(number(key).value, data[key].unit)

        # -> kind of caliper, by id, or nil
        def caliper = choice("caliper.kind")
        # Whether pistons push from both sides; false where the caliper is unknown.
        def opposed? = caliper ? @knowledge.caliper(caliper).opposed : false
        # -> the rotor's discard thickness, mm, or nil
        def discard_mm = length_mm("rotor.discard_thickness")

        # -> the drum's maximum inside diameter, mm, or nil
        def drum_maximum_mm = length_mm("drum.maximum_diameter")

        # The owner's limit, or the careful default; never below the maker's figures.
        def limit_mm
          once(:limit_mm) do
            [
              length_mm(brake_kind.key("service_limit")) || @shared.limit.for(brake_kind.limited_as).mm,
              least_pad_mm,
              overall_limit_mm
            ].compact.max
          end
        end

        # The manufacturer's least thickness of its pads or linings, without the plate, mm, or nil
        def least_pad_mm = length_mm(brake_kind.key("discard_thickness"))

        # Is the limit that decides stated with the plate?
        def limit_overall? = !overall_limit_mm.nil? && limit_mm == overall_limit_mm

        # Where that limit comes from, in words.
        def limit_from
          return Message.of("findings.limit_maker") if [least_pad_mm, overall_limit_mm].compact.max == limit_mm

          own = length_mm(brake_kind.key("service_limit"))
          Message.of(own ? "findings.limit_own" : "findings.limit_approach")
        end

        # Of its pads: ["left_inner", ...], on a drum brake of its shoes: ["left_leading", ...]
        def positions = axle.sides.product(pads).map { |pair| pair.join("_") }

        # limit_mm: another limit to ask "what if" with, or nil.
        def specifications(limit_mm: nil)
          return specifications_to(limit_mm) if limit_mm && limit_mm != self.limit_mm

          once(:specifications) { specifications_to(self.limit_mm) }
        end

        # The part's values that a reading needs; nothing is on file about runout and parking shoes.
        def part(part) = once([:part, part]) { known_part(part) }

        # A new pad's thickness by the brake data, else the usual one, mm
        def new_pad_mm = known_new_pad_mm || @knowledge.new_part("pad", brake_kind.built_as).fetch("typical_mm")
        # The same as it is on file, or nil
        def known_new_pad_mm = length_mm(brake_kind.key("new_thickness"))

        # The log's valid entries: [Core::Wear::Entry].
        def entries = usable.entries
        # What else speaks for its pads, until a day (Core::Schedule::AxleForecast#call).
        def beside(until_day: nil)
          known = until_day ? inspections.select { |inspection| inspection.date <= until_day } : inspections
          others =
            siblings.map do |record|
              [
                record.entries.select { |entry| until_day.nil? || entry.date <= until_day },
                record.specifications["pad"]
              ]
            end
          {
            said: SaidOfPads.new(@knowledge).hearsay(known, axle.name),
            moved: MovementFound.new(@knowledge).call(known, axle.id),
            others:
          }
        end

        # What does not, each with why: [UsableEntries::Unusable].
        def unusable = usable.unusable
        # Why no thickness can be made of a reading of this axle, in a sentence, or nil.
        def fault(row) = usable.fault(row)
        # Whether it is of a kind of brake that this axle doesn't have.
        def of_other_brake?(row) = !usable.elsewhere(row).nil?
        # The same axle with other brake data: { key => Storage::BrakeDatum or nil }; sources: as in #initialize
        def with_data(changes, sources: @sources)
          data = @data.merge(changes).compact
          self
            .class
            .new(vehicle:, axle:, data:, inspections:, shared: @shared, sources:, planned:)
            .tap { |other| other.siblings = siblings }
        end

        # Units this vehicle has been read in.
        def units_used
          @units_used ||= inspections.flat_map { |inspection| inspection.readings.filter_map(&:unit) }.uniq
        end

        # Entries of a position in its sets, oldest first: [[Entry, ...], ...]
        def sets(part, side, pad = nil)
          once([:sets, part, side, pad]) do
            entries.select { |entry| entry.part == part && here?(entry, side, pad) }.slice_before(&:renewal?).to_a
          end
        end

        # Entries since the current set was fitted.
        def since_fit(...) = sets(...).last || []

        # Rows of this axle and of some parts, with their inspections, oldest first: [[ReadingRow, Inspection], ...]
        def rows(parts)
          once([:rows, parts]) do
            inspections.flat_map do |inspection|
              mine = inspection.readings.select { |row| row.axle_id == axle.id && parts.include?(row.part) }
              mine.map { |row| [row, inspection] }
            end
          end
        end

        # Every place read at a position in its newest inspection: [[ReadingRow], date], or nil. Runout and shoes too.
        def newest_rows(*position) = once([:newest_rows, *position]) { surveys(*position).first }
        # The surveys of each inspection since the part was fitted, newest first, lazily.
        def surveys(...) = Surveys.new(self, @knowledge).of(...)

        # ReadingRow -> Core::Measurement::Reading, or nil where it has no value
        def reading_of(row) = readings.reading(row)

        # What the reading of a row that has a value comes to, in mm.
        def row_mm(row) = @knowledge.normalise.call(reading_of(row), part(row.part)).value_mm

        # The last Measurement::Reading of a position on the current part, or nil: a new part starts unread. Of several
        # that day the thinnest; a measurement beats an estimate.
        def newest_reading(...) = newest_entry(...)&.reading

        # What it comes to, in mm, or nil.
        def newest_mm(...) = newest_entry(...)&.then { |entry| read_mm(entry) }
        # The same as its row on file, with its inspection: [ReadingRow, Inspection] or nil.
        def newest_row(...)
          entry = newest_entry(...) or return
          by_id = once(:row_by_id) { rows(LogEntries::PARTS).to_h { |row, inspection| [row.id, [row, inspection]] } }
          by_id.fetch(entry.ref)
        end

        # -> [[Date, km]] of the vehicle
        def odometer = inspections.map { |inspection| [inspection.date, inspection.odometer_km] }.uniq

        # The maker's limit with plate, less the plate.
        def overall_limit_mm
          overall = drum? ? nil : length_mm("pad.overall_limit")
          overall &&
            [
              overall - (length_mm("pad.backing_plate") || @knowledge.measurement.dig("backing_plate", "typical_mm")),
              0
            ].max
        end

        # Fastener and other brake data as the planner wants them (TorqueData).
        def planning_data = torques.call
        # Values of a torque on which sources disagree -> [Storage::BrakeDatum]
        def rivals(key) = torques.rivals(key)

        private

        def known_part(part)
          known = specifications[part] or return Core::Measurement::Normalise::Part.unknown
          Core::Measurement::Normalise::Part.new(
            new_mm: known.new_mm,
            backing_mm: known.backing_mm,
            backing_uncertainty_mm: known.backing_uncertainty_mm,
            limit_overall: known.limit_overall,
            kind: brake_kind.built_as
          )
        end

        def specifications_to(limit_mm)
          found = { "pad" => specification("pad", positions, known_new_pad_mm, limit_mm) }
          found["rotor"] = specification("rotor", axle.sides, length_mm("rotor.new_thickness"), discard_mm) unless drum?
          found.freeze
        end

        def torques = TorqueData.new(self, @knowledge, @sources)
        def usable = @usable ||= UsableEntries.new(self, @knowledge.normalise, readings)
        def readings = @readings ||= RowReadings.new(@shared.instruments)

        # A fit without a side concerns both.
        def here?(entry, side, pad) = [nil, side].include?(entry.side) && [nil, pad].include?(entry.pad)

        def newest_entry(part, side, pad = nil, until_day: nil)
          mine = until_day ? set_on(until_day, part, side, pad) : since_fit(part, side, pad)
          return unless mine.last&.event == "reading"

          together = mine.reverse.take_while { |entry| same_look?(entry, mine.last) }
          together.min_by { |entry| [@knowledge.precise?(entry.reading.method) ? 0 : 1, read_mm(entry)] }
        end

        # Entries, until a day, of the set that was on then.
        def set_on(day, ...)
          set = sets(...).reverse_each.find { |entries| entries.first.date <= day } || []
          set.take_while { |entry| entry.date <= day }
        end

        def same_look?(entry, other)
          entry.event == "reading" && entry.date == other.date && entry.odometer_km == other.odometer_km
        end

        def read_mm(entry) = @knowledge.normalise.call(entry.reading, part(entry.part)).value_mm

        def specification(part, components, new_mm, limit_mm)
          Core::Wear::PartSpecification.new(
            part:,
            components:,
            new_mm:,
            limit_mm:,
            backing_mm: part == "pad" && !drum? ? length_mm("pad.backing_plate") : nil,
            backing_uncertainty_mm: nil,
            limit_overall: part == "pad" && limit_overall?,
            axle: axle.name,
            kind: wears_as
          )
        end
      end
    end
  end
end
