# frozen_string_literal: true

require "date"
require_relative "log_entries"
require_relative "../core/errors"
require_relative "../core/judgement/reading_questions"
require_relative "../core/measurement/rotor_survey"
require_relative "../core/quantity/units"

module Graver
  module Service
    # A look-over as it is being entered: each reading normalised where it can be, refused where it cannot, and
    # questioned where it can hardly be true.
    class LookOverEntry
      # at: index in what was given; thickness: the one that counts; survey: RotorSurvey or nil; questions as sentences.
      Line = Core::Value.define(:at, :given, :thickness, :survey, :questions)

      attr_reader :lines, :faults, :date, :odometer_km

      # given: { date:, odometer: { value:, unit: }, readings: [{ part:, side:, pad:, event:, method:, values:, upper:, unit:, overall:, keep: }] }
      def initialize(context, file, given)
        @context = context
        @knowledge = context.knowledge
        @file = file
        @given = given
        @faults = []
        @date = read_date
        @odometer_km = read_odometer
        @lines = given.fetch(:readings).each_with_index.filter_map { |reading, at| line(reading, at) }
      end

      # Faults and unanswered questions as one error, or nil when it may be saved.
      def refusal
        all = service_faults + question_faults
        all << fault("readings", "missing", "nothing has been read yet") if @given.fetch(:readings).empty?
        InvalidEntry.new(all) if all.any?
      end

      # What is wrong with what was given, doubts aside: day, odometer, readings, and their order in the log.
      def service_faults = faults + order_faults

      # The odometer as it is kept: as entered, and in km.
      def odometer
        given = @given[:odometer]
        { value: given[:value].to_s.strip, unit: given[:unit] || @file.vehicle.distance_unit, km: odometer_km }
      end

      private

      def fault(field, code, message) = InvalidEntry::Fault.new(field:, code:, message:)

      def read_date
        date = Date.iso8601(@given[:date].to_s)
        @faults << fault("date", "in_future", "the day of a look-over cannot lie ahead") if date > @context.today
        @faults << fault("date", "out_of_range", "the year #{date.year} cannot be meant") if date.year < 1950
        date
      rescue Date::Error
        @faults << fault("date", "not_a_day", "needs a day such as 2025-04-12")
        nil
      end

      def read_odometer
        odometer = @given[:odometer] || {}
        unit = odometer[:unit] || @file.vehicle.distance_unit
        number = Core::Quantity::EnteredNumber.parse(odometer[:value])
        km = Core::Quantity::DISTANCE.to_base(number.value, unit)
        return km if km.between?(0, 5_000_000)

        @faults << fault("odometer.value", "out_of_range", "the odometer lies between 0 and 5,000,000 km")
        nil
      rescue InvalidEntry => e
        @faults.concat(e.under("odometer.value").faults)
        nil
      end

      # Against the look-overs before and after its day: the odometer never runs back.
      def order_faults
        return [] unless date && odometer_km

        before = @file.look_overs.select { |other| other.date <= date }.max_by(&:odometer_km)
        after = @file.look_overs.select { |other| other.date > date }.min_by(&:odometer_km)
        [[before, before && odometer_km < before.odometer_km - 0.5, "less"], [after, after && odometer_km > after.odometer_km + 0.5, "more"]].filter_map do |other, wrong, word|
          next unless wrong

          fault("odometer.value", "runs_back",
                "this is #{word} than the #{other.odometer_value} #{other.odometer_unit} logged on #{other.date.iso8601}; if an older look-over is meant, set its day")
        end
      end

      def question_faults
        lines.reject { |line| line.given[:keep] }.flat_map do |line|
          line.questions.map { |question| fault("readings.#{line.at}.values", "questioned", question) }
        end
      end

      def line(reading, at)
        check_position(reading)
        return Line.new(at:, given: reading, thickness: event(reading), survey: nil, questions: []) unless reading[:event] == "reading"

        thicknesses = normalised(reading)
        survey = reading[:part] == "rotor" ? Core::Measurement::RotorSurvey.of(thicknesses) : nil
        thinnest = thicknesses.min_by(&:value_mm)
        Line.new(at:, given: reading, thickness: thinnest, survey:, questions: questions(reading, thinnest))
      rescue InvalidEntry => e
        @faults.concat(e.under("readings.#{at}").faults)
        nil
      end

      def check_position(reading)
        allowed = reading[:part] == "pad" ? @file.positions : @file.axle.sides
        position = [reading[:side], reading[:pad]].compact.join("_")
        return if allowed.include?(position) || (%w[fit freed].include?(reading[:event]) && reading[:side].nil?)

        raise InvalidEntry.of("side", "unknown_position", "this axle has no such #{reading[:part]}")
      end

      def event(reading)
        return @knowledge.normalise.event(reading[:event]) if %w[squealer sensor].include?(reading[:event])

        reading[:values].to_a.empty? ? nil : normalised(reading).first
      end

      def normalised(reading)
        raise InvalidEntry.of("values", "missing", "needs at least one value") if reading[:values].to_a.empty?

        reading[:values].each_with_index.map do |value, place|
          @knowledge.normalise.call(core_reading(reading, value), @file.part(reading[:part]))
        rescue InvalidEntry => e
          raise(InvalidEntry, e.faults.map { |found| found.dup.tap { |copy| copy.field = "values.#{place}" if ["value", ""].include?(copy.field) } })
        end
      end

      def core_reading(reading, value)
        Core::Measurement::Reading.new(part: reading[:part], method: reading[:method], value: Core::Quantity::EnteredNumber.parse(value),
                                       upper: reading[:upper].to_s.strip.empty? ? nil : upper(reading[:upper]), unit: reading[:unit], overall: reading[:overall] || false)
      end

      def upper(text)
        Core::Quantity::EnteredNumber.parse(text)
      rescue InvalidEntry => e
        raise e.under("upper")
      end

      def questions(reading, thickness)
        part = @file.part(reading[:part])
        found = Core::Judgement::ReadingQuestions.new.call(
          thickness:, new_mm: part.new_mm, backing_mm: plate(reading, part), before: before(reading), expected: expected(reading)
        )
        found.map { |question| sentence(question) }
      end

      def plate(reading, part)
        return if reading[:part] == "rotor" || reading[:overall]

        part.backing_mm || @knowledge.measurement.dig("backing_plate", "typical_mm")
      end

      def sentence(question)
        question.tokens.compact.reduce(@knowledge.questions.fetch(question.code)) { |text, (token, mm)| text.sub("{#{token}}", format("%.1f", mm)) }
      end

      # The newest thickness of this position since its set went on, unless a set goes on in this very look-over.
      def before(reading)
        return if @given.fetch(:readings).any? { |other| other[:event] == "fit" && other[:part] == reading[:part] }

        last = @file.newest_reading(*reading.values_at(:part, :side, :pad), until_day: date)
        last && @knowledge.normalise.call(last, @file.part(reading[:part]))
      end

      # What the log so far lets one expect here, from a set that has been read at least once.
      def expected(reading)
        return unless date && odometer_km && order_faults.empty? && before(reading)

        result = reading[:part] == "pad" ? outlook.pads : outlook.rotors
        result&.now&.fetch([reading[:side], reading[:pad]].compact.join("_"), nil)
      end

      def outlook
        @outlook ||= @knowledge.outlook.call(entries: @file.entries.select { |entry| entry.date <= date }, specifications: @file.specifications,
                                             as_of_date: date, as_of_km: odometer_km, driving: @knowledge.outlook.driving(@file.odometer))
      end
    end
  end
end
