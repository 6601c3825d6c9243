# frozen_string_literal: true

module Graver
  module Service
    module Judging
      # A short questioning about something noticed on the road: severity, causes, and what to measure next.
      class Symptoms
        # tied: findings of this vehicle that speak for one of the causes; noted: the Storage::FollowUp it left
        Outcome = Core::Value.define(:severity, :sentence, :causes, :measure, :tied, :noted)
        # Topics of findings that bear on a symptom.
        TOPICS = {
          "grinding" => %w[pads],
          "squeal" => %w[pads],
          "pulsation" => %w[rotors],
          "pull" => %w[uneven],
          "pedal" => %w[fluid pistons],
          "lever" => %w[fluid pistons pads],
          "lever_pulsates" => %w[rotors],
          "hot" => %w[uneven],
          "fluid" => %w[fluid pads],
          "light" => %w[pads fluid],
          "parking" => %w[parking],
          "vibration" => %w[rotors],
          "shakes" => %w[rotors]
        }.freeze

        def initialize(context)
          @context = context
          @symptoms = context.knowledge.symptoms
        end

        # given: { symptom:, answers: { "when" => "braking" } } -> Outcome. An answer stays open on the vehicle until it
        # is closed; a normal one is noted and closed at once. Raises InvalidEntry for an unknown or missing answer.
        def call(vehicle_id, given)
          symptom = @symptoms.find { |each| each.id == given[:symptom] } or
            raise InvalidEntry.of(
                    "symptom",
                    "unknown_choice",
                    Message.of("faults.choose", choices: @symptoms.map(&:id))
                  )
          answers = answered(symptom, given.fetch(:answers, {}))
          outcome = symptom.outcome(answers)
          noted = note(vehicle_id, symptom, answers, outcome)
          Outcome.new(**outcome.to_h.except(:when, :mark), tied: tied(vehicle_id, symptom.id), noted:)
        end

        private

        def note(vehicle_id, symptom, answers, outcome)
          ends = Household::FollowUps.new(@context)
          about = "#{Overview::Noticed::ABOUT}#{outcome.mark}"
          vehicle = @context.store.vehicles.find(vehicle_id)
          known = ends.of([vehicle]).fetch(vehicle_id).find { |each| each.open? && each.about == about }
          return known if known

          closed_because = outcome.severity == "good" ? Message.of("findings.normal") : nil
          ends.add(vehicle_id, { text: said(symptom, answers) }, about:, closed_because:)
        end

        # "Noticed: The pedal is not right. It sinks while held"
        def said(symptom, answers)
          options = symptom.questions.map { |question| question.options.fetch(answers[question.id]) }
          Message.of("findings.noticed", what: [symptom.label, *options].join(". "))
        end

        def answered(symptom, answers)
          faults =
            symptom
              .questions
              .reject { |question| question.options.key?(answers[question.id]) }
              .map do |question|
                InvalidEntry::FieldError.new(
                  field: "answers.#{question.id}",
                  code: "missing",
                  message:
                    Message.of("faults.symptom_choose", question: question.text, choices: question.options.values)
                )
              end
          faults.any? ? raise(InvalidEntry, faults) : answers
        end

        def tied(vehicle_id, id)
          overview = Overview::VehicleOverviews.new(@context).find(vehicle_id)
          (overview.findings + overview.axles.flat_map(&:findings)).select do |found|
            TOPICS.fetch(id, []).include?(found.topic)
          end
        end
      end
    end
  end
end
