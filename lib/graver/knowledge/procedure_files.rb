# frozen_string_literal: true

module Graver
  module Knowledge
    # The procedure and its steps as the core wants them: one file of stages, one of facts, one of steps for each stage.
    module ProcedureFiles
      STAGES = "procedures/brake_job.yml"
      FACTS = "procedures/facts.yml"
      HAZARDS = "procedures/hazards.yml"
      LISTS = Core::Planning::Step::LISTS.map(&:to_s).freeze

      module_function

      def file_of(stage) = "steps/#{stage}.yml"

      # contents: { file name => parsed content }
      def build(contents)
        content = contents.fetch(STAGES)
        stages =
          content
            .fetch("stages")
            .map { |id, stage| Core::Planning::Stage.new(id:, label: stage["label"], of: stage["of"]) }
        steps = stages.flat_map { |stage| contents.fetch(file_of(stage.id), []).map { |entry| step(entry, stage.id) } }
        facts = contents.fetch(FACTS).to_h { |entry| [entry["id"], fact(entry)] }
        bare =
          Core::Planning::Procedure.new(
            id: content["id"],
            label: content["label"],
            stages:,
            steps:,
            facts:,
            hazards: hazards(contents.fetch(HAZARDS))
          )
        bare.with(steps: steps.map { |step| bare.guarded(step) })
      end

      def fact(entry)
        kept = %w[fields approaches work].to_h { |key| [key.to_sym, entry.fetch("keeps", {}).fetch(key, []).freeze] }
        Core::Planning::Fact.new(
          **%w[id of label apart].to_h { |key| [key.to_sym, entry[key]] },
          optional: entry.fetch("optional", false),
          unsaid_with: entry.fetch("unsaid_with", []).freeze,
          keeps: Core::Planning::Keeps.new(**kept)
        )
      end

      def hazards(entries)
        entries.map do |entry|
          Core::Planning::Hazard.new(
            **%w[id label requires words].to_h { |key| [key.to_sym, entry[key].freeze] },
            forbids: entry.fetch("forbids", []).freeze
          )
        end
      end

      def question(entry)
        answers =
          entry
            .fetch("answers")
            .map do |answer|
              Core::Planning::StepQuestion::Answer.new(
                **%w[id label because].to_h { |key| [key.to_sym, answer[key]] },
                good: answer.fetch("good", false),
                clears: answer.fetch("clears", []).freeze
              )
            end
        Core::Planning::StepQuestion.new(text: entry.fetch("text"), answers: answers.freeze)
      end

      def step(entry, stage)
        lists = LISTS.to_h { |key| [key.to_sym, entry.fetch(key, []).freeze] }
        Core::Planning::Step.new(
          id: entry["id"],
          stage:,
          text: entry["text"],
          late: entry["late"],
          why: entry["why"],
          step_group: entry["step_group"],
          acts: entry["acts"],
          asks: entry["asks"] && question(entry["asks"]),
          counts:
            entry["counts"] &&
              Core::Planning::StepCount.new(of: entry.dig("counts", "of"), target: entry.dig("counts", "target")),
          timer:
            entry["timer"] &&
              Core::Planning::StepTimer.new(of: entry.dig("timer", "of"), seconds: entry.dig("timer", "seconds")),
          mandatory: entry.fetch("mandatory", false),
          safety_critical: entry.fetch("safety_critical", false),
          restores: entry.fetch("restores", false),
          beds_in: entry.fetch("beds_in", false),
          own: false,
          conditions: entry.fetch("when", {}).freeze,
          exceptions: entry.fetch("unless", {}).freeze,
          **lists
        )
      end
    end
  end
end
