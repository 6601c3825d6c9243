# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Measuring
      # Day and odometer of a service as entered: their faults alone and against the log, and questions about them.
      class ServiceDate
        LARGEST_KM = 5_000_000
        EARLIEST_YEAR = 1950

        # Faults of day and odometer by themselves; date and odometer_km are nil where they cannot be read.
        attr_reader :faults, :date, :odometer_km

        # inspections: the vehicle's others; given: { date:, odometer: { value:, unit:, keep: } }
        def initialize(context, vehicle, inspections, given)
          @context = context
          @vehicle = vehicle
          @inspections = inspections
          @given = given
          @faults = []
          @date = read_date
          @odometer_km = read_odometer
        end

        # The odometer as it is kept: as entered, and in km.
        def odometer = { value: given_odometer[:value].to_s.strip, unit:, km: odometer_km }

        # Against the inspections before and after its day: the odometer never runs back.
        def order_faults = @order_faults ||= find_order_faults

        # Returns itself if nothing is wrong. Raises InvalidEntry; with `asking` also for open questions.
        def settled(asking: false)
          found = faults + order_faults
          found << fault("odometer.value", question[:code], question[:sentence]) if asking && found.empty? && question
          found.empty? ? self : raise(InvalidEntry, found)
        end

        # { code:, sentence:, unit: } or nil; unit: the one that would fit.
        def question = defined?(@question) ? @question : @question = find_question

        private

        def find_order_faults
          return [] unless date && odometer_km

          before = @inspections.select { |other| other.date <= date }.max_by(&:odometer_km)
          after = @inspections.select { |other| other.date > date }.min_by(&:odometer_km)
          found = []
          found << runs_back(before, "less") if before && odometer_km < before.odometer_km - 0.5
          found << runs_back(after, "more") if after && odometer_km > after.odometer_km + 0.5
          found
        end

        def find_question
          return if given_odometer[:keep] || !date || !odometer_km || order_faults.any?

          before = @inspections.select { |other| other.date <= date }.max_by(&:odometer_km) or return
          found = ask(before)
          found && { code: found.code, unit: found.other_unit, sentence: sentence(found, before) }
        end

        def given_odometer = @given[:odometer] || {}
        def unit = given_odometer[:unit] || @vehicle.distance_unit
        def fault(field, code, message) = InvalidEntry::FieldError.new(field:, code:, message:)

        def read_date
          date = Date.iso8601(@given[:date].to_s)
          @faults << fault("date", "in_future", Message.of("faults.day_in_future")) if date > @context.today
          if date.year < EARLIEST_YEAR
            @faults << fault("date", "out_of_range", Message.of("faults.year", year: date.year))
          end
          date
        rescue Date::Error
          @faults << fault("date", "not_a_day", Message.of("faults.not_a_day", example: @context.today.iso8601))
          nil
        end

        def read_odometer
          km = Core::Quantity::DISTANCE.to_base(Core::Quantity::EnteredNumber.parse(given_odometer[:value]).value, unit)
          return km if km.between?(0, LARGEST_KM)

          @faults << fault("odometer.value", "out_of_range", Message.of("faults.odometer_between", most: LARGEST_KM))
          nil
        rescue InvalidEntry => e
          @faults.concat(e.under("odometer.value").faults)
          nil
        end

        def runs_back(other, word)
          fault(
            "odometer.value",
            "runs_back",
            Message.of(
              "faults.runs_back",
              than: word,
              odometer: other.odometer_value,
              unit: other.odometer_unit,
              day: other.date
            )
          )
        end

        def ask(before)
          number = Core::Quantity::EnteredNumber.parse(given_odometer[:value]).value
          others =
            (Core::Quantity::DISTANCE.units - [unit]).to_h do |other|
              [other, Core::Quantity::DISTANCE.to_base(number, other)]
            end
          driving =
            @context.knowledge.outlook.driving(
              @inspections.map { |inspection| [inspection.date, inspection.odometer_km] }.uniq,
              @vehicle.kind
            )
          Core::Judgement::OdometerQuestion.call(
            km: odometer_km,
            before_km: before.odometer_km,
            days: (date - before.date).to_i,
            usual_km_per_day: driving.km_per_day,
            alternatives: others,
            **@context.knowledge.question_thresholds
          )
        end

        def sentence(found, before)
          wording = Base::Wording.new(@vehicle.distance_unit)
          wording.fill(
            @context.knowledge.questions.dig("odometer", found.code, "sentence"),
            "driven" => Message.distance(found.driven_km, @vehicle.distance_unit),
            "usual" => Message.distance(found.usual_km, @vehicle.distance_unit),
            "before_date" => before.date.iso8601,
            "unit" => found.other_unit
          )
        end
      end
    end
  end
end
