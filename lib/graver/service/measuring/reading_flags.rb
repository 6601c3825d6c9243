# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # The checks of each reading of an inspection against the log and its neighbours.
      class ReadingFlags
        # code; sentence; answers: [{ id:, label:, unit: }]; other: index of the line it may be swapped with, or nil
        Asked = Core::Value.define(:code, :sentence, :answers, :other)

        # lines: [InspectionEntry::Line] of one inspection
        def initialize(context, stamp, lines)
          @context = context
          @knowledge = context.knowledge
          @stamp = stamp
          @lines = lines
          @swapped = find_swapped
        end

        # -> Asked or nil
        def of(line)
          return unless line.given[:event] == "reading"
          return drum(line) if line.entered.part == "drum"
          return unless %w[pad rotor].include?(line.entered.part)

          other = @swapped[line.at]
          other ? asked(line, "swapped", { other: other.entered.position.join(" ") }, nil, other.at) : alone(line)
        end

        private

        def alone(line)
          question =
            Core::Judgement::ReadingQuestions.new(**@knowledge.question_thresholds).call(
              Core::Judgement::ReadingQuestions::Asked.new(
                thickness: line.thickness,
                alternatives: line.entered.alternatives,
                new_mm: line.file.part(line.entered.part).new_mm,
                plate_mm: plate_mm(line),
                before: before(line),
                expected: expected(line)
              )
            )
          question && asked(line, question.code, question.tokens, question.tokens[:unit], nil)
        end

        # Of a drum's diameter; nothing is expected of it.
        def drum(line)
          rows, =
            fitted_now?(line) ? nil : line.file.surveys("drum", line.given[:side]).find { |_, day| day <= read_on }
          question =
            Core::Judgement::DrumQuestions.new(**@knowledge.question_thresholds).call(
              Core::Judgement::ReadingQuestions::Asked.new(
                thickness: line.thickness,
                alternatives: line.entered.alternatives,
                new_mm: line.file.length_mm("drum.new_diameter"),
                plate_mm: nil,
                before: rows && widest(line.file, rows),
                expected: nil
              )
            )
          question && asked(line, question.code, question.tokens, question.tokens[:unit], nil)
        end

        def read_on = @stamp.date || @context.today

        def widest(file, rows)
          rows.map { |row| @knowledge.normalise.call(file.reading_of(row), file.part("drum")) }.max_by(&:value_mm)
        end

        def asked(line, code, tokens, unit, other)
          entry = @knowledge.questions.dig("readings", code)
          sentence =
            Base::Wording.tokens(
              line.file.wording.own(entry.fetch("sentence")),
              tokens.transform_values { |value| value.is_a?(Float) ? format("%.1f", value) : value }
            )
          Asked.new(
            code:,
            sentence:,
            answers: entry.fetch("answers").map { |id| answer(id, unit, line.file.part_name(line.entered.part)) },
            other:
          )
        end

        def answer(id, unit, part)
          {
            id:,
            label: Base::Wording.tokens(@knowledge.questions.dig("answers", id), { unit:, part: Message.part(part) }),
            unit: id == "other_unit" ? unit : nil
          }
        end

        def plate_mm(line)
          if line.entered.part != "pad" || line.file.drum? || line.entered.overall || line.entered.method == "percent"
            return
          end

          line.file.part("pad").backing_mm || @knowledge.measurement.dig("backing_plate", "typical_mm")
        end

        def fitted_now?(line)
          @lines.any? do |other|
            other.given[:event] == "fit" && other.entered.part == line.entered.part && other.file == line.file
          end
        end

        # The newest thickness of this position in its set, unless this very inspection fits a new set.
        def before(line)
          return if fitted_now?(line)

          last = line.file.newest_reading(line.entered.part, *line.given.values_at(:side, :pad), until_day: @stamp.date)
          last && @knowledge.normalise.call(last, line.file.part(line.entered.part))
        end

        # The thickness the log leads one to expect here, if the set has been read at least once.
        def expected(line)
          return unless @stamp.date && @stamp.odometer_km && @stamp.order_faults.empty? && before(line)

          answer = outlook(line.file)
          (line.entered.part == "pad" ? answer.pads : answer.rotors)&.now&.fetch(line.entered.position.join("_"), nil)
        end

        # Computed once per axle and odometer, however many keys are pressed meanwhile.
        def outlook(file) = file.latest([@stamp.date, @stamp.odometer_km]) { computed(file) }

        def computed(file)
          asked = {
            entries: file.entries.select { |entry| entry.date <= @stamp.date },
            beside: file.beside(until_day: @stamp.date),
            specifications: file.specifications,
            as_of_date: @stamp.date,
            as_of_km: @stamp.odometer_km,
            driving: @knowledge.outlook.driving(file.odometer, file.vehicle.kind)
          }
          @context.outlooks.fetch([@context.english, asked]) { @knowledge.outlook.call(**asked) }
        end

        # { index of a line => the Line it may be swapped with }
        def find_swapped
          known =
            @lines.select do |line|
              line.given[:event] == "reading" && line.thickness && %w[pad rotor].include?(line.entered.part) &&
                expected(line)
            end
          pairs =
            known.group_by { |line| [line.file, line.entered.part] }.values.flat_map { |lines| swapped_among(lines) }
          pairs.each_with_object({}) do |(one, other), found|
            found[one.at] ||= other
            found[other.at] ||= one
          end
        end

        def swapped_among(lines)
          reads =
            lines.map do |line|
              Core::Judgement::SwappedReadings::Read.new(
                id: line,
                position: line.given.values_at(:side, :pad),
                thickness: line.thickness,
                expected: expected(line)
              )
            end
          Core::Judgement::SwappedReadings.call(reads, gain: @knowledge.question_thresholds.fetch(:swap_gain))
        end
      end
    end
  end
end
