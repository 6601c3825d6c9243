# frozen_string_literal: true

require_relative "axles"
require_relative "torque_doubt"
require_relative "torque_wrenches"
require_relative "../../service/jobs"
require_relative "../../service/wording"

module Graver
  module API
    module Serializers
      # A job card, and a job with its card.
      class JobCards
        def initialize(knowledge)
          @knowledge = knowledge
        end

        def job(job, card)
          { id: job.id, state: job.state, planned_for: job.planned_for&.iso8601, ticked: job.ticked, card: call(card) }
        end

        def call(card)
          axles = Axles.new(@knowledge)
          { axle_name: axles.name(card.overview.file), axle: axles.call(card.overview, nil), label: card.procedure.label,
            steps: card.steps&.map { |placed| step(card, placed) }, torque: card.torque.map { |line| { **torque(line), wrench: TorqueWrenches.choice(card.wrenches[line.fastener]) } },
            parts: card.parts.map(&:to_h), tools: drives(card) + card.tools,
            consumables: card.consumables.map { |each| { label: each["label"], amount: each["amount"], where: each["where"] } },
            missing: card.missing.map { |field| field.slice("key", "label", "waits", "find") }, rotor: rotor(card),
            fluid_ml: card.fluid_ml&.round(1) }
        end

        private

        def step(card, placed)
          step = placed.step
          unknown = step.tighten.any? { |id| card.torque.find { |line| line.fastener == id }&.torque.nil? }
          cautions = step.cautions + (unknown ? ["no-value"] : [])
          { key: Service::Jobs.step_key(placed), stage: card.procedure.stages.fetch(step.stage), side: placed.side, text: step.text, why: step.why,
            gate: step.gate, cautions: cautions.map { |id| @knowledge.cautions.fetch(id).slice("severity", "text") }, tighten: step.tighten }
        end

        def torque(line)
          in_units = { newton_metres: "N·m", pound_feet: "lbf·ft", pound_inches: "lbf·in" }.transform_values { |unit| line.torque&.in_unit(unit) }
          { fastener: line.fastener, label: line.label, count: line.count, **in_units,
            entered: line.torque && "#{format("%g", line.torque.entered)} #{line.torque.unit}",
            source: line.source && @knowledge.brake_data.sources.fetch(line.source), doubt: TorqueDoubt.sentence(line.torque, line.doubt, line.plausible),
            drive: line.drive && drive(line.drive), single_use: line.single_use, star: line.star, note: line.note }
        end

        def drives(card) = card.torque.select(&:drive).map { |line| "#{drive(line.drive)} (#{line.label.downcase})" }
        def drive(id) = @knowledge.brake_data.label("wheel_nut.drive", id)

        def rotor(card)
          verdicts = @knowledge.rotor_rules.fetch("verdicts")
          sides = card.overview.rotor_verdicts.map do |side, verdict|
            text = verdicts.fetch(verdict.outcome)
            { side:, outcome: verdict.outcome, sentence: sentence(card, text, side, verdict), change: text.fetch("change") }
          end
          { outcome: card.rotor_outcome, label: verdicts.dig(card.rotor_outcome, "label"), sides: }
        end

        def sentence(card, text, side, verdict)
          tokens = { "side" => side.capitalize, "reading_mm" => verdict.reading_mm, "error_mm" => verdict.error_mm, "discard_mm" => verdict.discard_mm,
                     "spare_mm" => verdict.spare_mm, "chance" => verdict.chance }
          Service::Wording.new(card.overview.file.vehicle.distance_unit).fill(text.fetch("sentence"), tokens)
        end
      end
    end
  end
end
