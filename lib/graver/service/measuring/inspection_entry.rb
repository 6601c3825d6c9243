# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # An inspection of a vehicle as it is being entered: each reading normalised where it can be, refused where it
      # cannot, and questioned where it can hardly be true.
      class InspectionEntry
        # at: index in the input; entered: EnteredReading; thickness: the one that counts; survey: Survey or nil;
        # question: ReadingFlags::Asked or nil
        Line =
          Core::Value.define(:at, :entered, :thickness, :survey, :question) do
            # As sent.
            def given = entered.given
            # -> Household::AxleRecord
            def file = entered.file
          end

        # Answers that save a questioned reading as entered.
        SETTLED = %w[affirmed keep earlier_wrong].freeze

        attr_reader :files, :lines, :faults, :stamp, :conditions

        # files: [AxleRecord] of the vehicle; given: { date:, odometer:, readings: [...], conditions: [...] } (the
        # API's Inspection)
        def initialize(context, files, given, instruments)
          @knowledge = context.knowledge
          @files = files
          @by_axle = files.to_h { |file| [file.axle.id, file] }
          @given = given
          @instruments = instruments
          @stamp = ServiceDate.new(context, files.first.vehicle, files.first.inspections, given)
          @faults = stamp.faults + simulated_faults(given)
          @lines =
            questioned(context, given.fetch(:readings).each_with_index.filter_map { |reading, at| line(reading, at) })
          @conditions = conditions_of(given)
        end

        # Faults and unanswered questions as one error, or nil when it may be saved.
        def refusal
          all = faults + stamp.order_faults + question_faults
          if @given.values_at(:readings, :conditions).all? { |given| given.to_a.empty? }
            all << fault("readings", "missing", Message.of("faults.nothing_read"))
          end
          InvalidEntry.new(all) if all.any?
        end

        private

        def fault(field, code, message) = InvalidEntry::FieldError.new(field:, code:, message:)

        # A made-up odometer would turn everything that is counted.
        def simulated_faults(given)
          return [] if !given.dig(:odometer, :simulated) || @files.first.vehicle.sample

          [fault("odometer.value", "simulated", Message.of("faults.simulated_odometer"))]
        end

        def question_faults
          asked = lines.select { |line| line.question && !SETTLED.include?(line.given[:answer]) }
          found = asked.map { |line| fault("readings.#{line.at}.values", "questioned", line.question.sentence) }
          found << fault("odometer.value", "questioned", stamp.question[:sentence]) if stamp.question
          found
        end

        def line(reading, at)
          file = @by_axle[reading[:axle]] or
            raise InvalidEntry.of("axle", "unknown_axle", Message.of("faults.unknown_axle"))
          entered = EnteredReading.new(@knowledge, file, reading, @instruments)
          entered.check
          thicknesses = entered.thicknesses
          survey = thicknesses.empty? ? nil : Core::Measurement::Survey.of(thicknesses)
          deciding = entered.part == "drum" ? survey&.maximum : survey&.minimum
          Line.new(at:, entered:, thickness: deciding, survey:, question: nil)
        rescue InvalidEntry => e
          @faults.concat(e.under("readings.#{at}").faults)
          nil
        end

        def questioned(context, lines)
          flags = ReadingFlags.new(context, stamp, lines)
          lines.map { |line| line.with(question: flags.of(line)) }
        end

        def conditions_of(given)
          entry = ConditionEntry.new(@knowledge, @by_axle)
          given
            .fetch(:conditions, [])
            .each_with_index
            .filter_map do |condition, at|
              entry.check(condition)
            rescue InvalidEntry => e
              @faults.concat(e.under("conditions.#{at}").faults)
              nil
            end
        end
      end
    end
  end
end
