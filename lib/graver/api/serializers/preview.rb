# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # What a half-entered inspection shows so far.
      class Preview
        # Runout and parking shoes are not in the section.
        DRAWN = %w[pad rotor drum].freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # entry: Service::InspectionEntry
        def call(entry)
          read = entry.lines.select(&:thickness)
          {
            axles: axles(entry, read),
            positions: read.map { |line| position(line) },
            odometer_question: odometer(entry.stamp.question),
            faults: (entry.refusal&.faults || []).map(&:to_h)
          }
        end

        private

        def axles(entry, read)
          entry.files.map do |file|
            now =
              read
                .select { |line| line.file == file && DRAWN.include?(line.entered.part) }
                .to_h { |line| [line.entered.position.join("_"), mean_and_sd(line.thickness)] }
            { id: file.axle.id, corners: Corners.new(@knowledge).call(file, now) }
          end
        end

        def mean_and_sd(thickness) = { mean_mm: thickness.value_mm, sd_mm: thickness.standard_uncertainty_mm }

        def position(line)
          thickness = line.thickness
          {
            at: line.at,
            mm: thickness.value_mm.round(3),
            sd_mm: thickness.standard_uncertainty_mm.round(3),
            lower_mm: thickness.lower_mm&.round(3),
            upper_mm: thickness.upper_mm&.round(3),
            spread_mm: line.survey&.spread_mm&.round(3),
            question: question(line.question)
          }
        end

        def question(asked)
          asked && { code: asked.code, sentence: asked.sentence, answers: asked.answers, other: asked.other }
        end

        def odometer(question)
          return unless question

          answers =
            @knowledge
              .questions
              .dig("odometer", question[:code], "answers")
              .map do |id|
                {
                  id:,
                  label:
                    Service::Base::Wording.tokens(@knowledge.questions.dig("answers", id), { unit: question[:unit] }),
                  unit: id == "other_unit" ? question[:unit] : nil
                }
              end
          { code: question[:code], sentence: question[:sentence], answers:, other: nil }
        end
      end
    end
  end
end
