# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What is measured at the steps of a job, and what has been read there already.
      class StepReads
        # kind: "reading", "figure", "marks", "data" or "fit"; axle_id, part, side, pad: nil where it has none (of marks
        # on faces, pad says which); key: of the item, figure or brake data; places: how many may be read; method,
        # unit: offered first; methods: [{ id:, label: }] and units: to choose from; choices: [Core::Judgement::Mark]
        # and marked: [id] of marks; said: what is on file of it in this job, or nil
        Ask =
          Core::Value.define(
            :id,
            :label,
            :kind,
            :axle_id,
            :part,
            :side,
            :pad,
            :key,
            :places,
            :method,
            :methods,
            :unit,
            :units,
            :choices,
            :marked,
            :said
          )
        # Fields of an ask that is no reading.
        NOTHING = {
          axle_id: nil,
          part: nil,
          side: nil,
          pad: nil,
          key: nil,
          places: 1,
          method: nil,
          methods: [],
          unit: nil,
          units: [],
          choices: [],
          marked: []
        }.freeze
        LENGTHS = %w[mm in].freeze

        # plan: JobPlan::Plan
        def initialize(knowledge, plan)
          @knowledge = knowledge
          @plan = plan
          @inspection = plan.job && plan.overview.inspections.reverse.find { |each| each.job_id == plan.job.id }
        end

        # Core::Planning::PlannedStep -> [Ask]
        def call(placed)
          return [] if @plan.job.nil? || placed.side == "both"

          placed.step.reads.map { |id| ask(id, placed) }.flatten.compact
        end

        private

        def ask(id, placed)
          return reservoirs(id).map { |each| figure(each) } if @knowledge.condition_figure(id)

          file = @plan.scope.axles.find { |axle| axle.name == placed.axle }&.file or return
          return fit(id, file) if id.start_with?("fit.")
          return marks(id, file, placed.side) if @knowledge.condition_item(id)

          content = @knowledge.inspection.fetch("positions")[id]
          content ? reading(id, content, file, placed.side) : datum(id, file)
        end

        def reading(id, content, file, side)
          part, pad = content.values_at("part", "pad")
          rows = rows(file, part, side, pad)
          known, = file.newest_row(part, side, pad)
          Ask.new(
            **NOTHING,
            id: [file.axle.id, side, id].join("."),
            label: file.wording.own("#{side} #{content["label"]}").capitalize,
            kind: "reading",
            axle_id: file.axle.id,
            part:,
            side:,
            pad:,
            places: content["places"],
            **with(part, known, content["method"]),
            said: rows.empty? ? nil : "#{rows.map(&:value).join(", ")} #{rows.first.unit}"
          )
        end

        # As the place was read last, as people keep to their tools: with tools that read the part itself, as with the
        # part in hand is never judged by eye.
        def with(part, known, usual)
          methods =
            @knowledge
              .measurement
              .fetch("methods")
              .select { |_, method| method.key?(part) && method.key?("resolution_mm") }
              .map { |id, method| { id:, label: method["label"] } }
          method = methods.any? { |each| each[:id] == known&.method } ? known.method : usual
          { methods:, method:, unit: LENGTHS.find { |unit| unit == known&.unit } || LENGTHS.first, units: LENGTHS }
        end

        def rows(file, part, side, pad)
          (@inspection&.readings || []).select do |row|
            row.event == "reading" && row.axle_id == file.axle.id && [row.part, row.side, row.pad] == [part, side, pad]
          end
        end

        # One for each face where it has two; none where the axle has no such thing.
        def marks(id, file, side)
          item = Household::LookedAt.items(@knowledge, file).find { |each| each.id == id } or return
          item.faces.map { |face| looked_at(item, file, side, face) }
        end

        def looked_at(item, file, side, face)
          here = [file.axle.id, side, face, item.id]
          marks = marks_at(item, here)
          Ask.new(
            **NOTHING,
            id: here.compact.join("."),
            label: item.named(side, face).capitalize,
            kind: "marks",
            axle_id: file.axle.id,
            side:,
            pad: face,
            key: item.id,
            choices: item.marks,
            marked: marks.map(&:id),
            said: marks.empty? ? nil : marks.map(&:label).join(", ")
          )
        end

        def marks_at(item, here)
          rows =
            (@inspection&.conditions || []).select { |row| row.to_h.values_at(:axle_id, :side, :face, :item) == here }
          item.marks.select { |mark| rows.any? { |row| row.mark == mark.id } }
        end

        # Where axles have reservoirs of their own, the level of those the job is about.
        def reservoirs(id)
          return [id] unless id.start_with?(Overview::FluidLevels::LEVEL)

          served = Overview::FluidLevels.reservoirs(@plan.overview.vehicle)
          served &= @plan.scope.included.map(&:name) if served != [nil]
          served.map { |axle| Overview::FluidLevels.figure(id, axle) }
        end

        def figure(id)
          figure = @knowledge.condition_figure(id)
          return if figure.axle && @plan.scope.included.none? { |axle| axle.name == figure.axle }

          known = (@inspection&.conditions || []).reverse.find { |each| each.item == id }
          unit = figure.unit_beside(@plan.overview.vehicle.distance_unit)
          Ask.new(
            **NOTHING,
            id:,
            label: figure.label,
            kind: "figure",
            key: id,
            units: [unit],
            unit:,
            said: known&.value
          )
        end

        def datum(key, file)
          field, datum = @knowledge.brake_data.field(key), file.data[key]
          Ask.new(
            **NOTHING,
            id: [file.axle.id, key].join("."),
            label: field.label,
            kind: "data",
            axle_id: file.axle.id,
            key:,
            units: LENGTHS,
            unit: datum&.unit || LENGTHS.first,
            said: datum && [datum.value, datum.unit].compact.join(" ")
          )
        end

        def fit(id, file)
          part = id.delete_prefix("fit.")
          known = @plan.job.new_parts["#{file.axle.id}.#{part}"]
          Ask.new(
            **NOTHING,
            id: [file.axle.id, id].join("."),
            label: Message.of("jobs.new_part", part: file.part_name(part)),
            kind: "fit",
            axle_id: file.axle.id,
            part:,
            units: LENGTHS,
            unit: known&.fetch("unit") || LENGTHS.first,
            said: known && "#{known["value"]} #{known["unit"]}"
          )
        end
      end
    end
  end
end
