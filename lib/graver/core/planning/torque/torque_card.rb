# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Every fastener a job tightens, with its count, torque in both units, angle and flags.
      class TorqueCard
        # torque: Torque or nil when not known; angle_degrees: of a second stage or nil; doubt as in Torque#doubt;
        # hearsay: the value's source is no source for a torque; star: nut numbers or nil; undone: loosened in this job,
        # not only checked; rivals: [[Torque, source]] that other sources give, until one is chosen; snug: may be
        # tightened without a figure
        Line =
          Value.define(
            :axle,
            :fastener,
            :label,
            :count,
            :torque,
            :angle_degrees,
            :source,
            :doubt,
            :hearsay,
            :plausible,
            :drive,
            :thread,
            :single_use,
            :comes_with_pads,
            :reused,
            :threadlocker,
            :lubrication,
            :rivals,
            :snug,
            :star,
            :note
          ) do
            # The count at one side; the whole count if a step is done for both.
            def count_at(side)
              return count unless count && %w[left right].include?(side)

              [count / 2, 1].max
            end
            # Stretched by its angle, or single-use: never tightened again after being turned too far.
            def once? = single_use || !angle_degrees.nil?
          end
        # Sources that are not this axle's own figure: another axle, and what is usual.
        HEARSAY = %w[copied typical].freeze

        ONCE = %w[once with_pads].freeze

        # placed: [PlannedStep] that concern the axle; setup: Lifts::Setup; fasteners: knowledge entries by id;
        # data: { key => { value:, unit:, source:, number:, torque:, rivals: } } -> [Line]
        def call(placed, setup, fasteners:, data:)
          ids = placed.flat_map { |each| each.step.tighten }.uniq.map { |id| fasteners.fetch(id) }
          ids.select { |fastener| here?(fastener, setup) }.map { |fastener| line(fastener, setup, data) }
        end

        private

        # A shared step may tighten what only another axle of the job has.
        def here?(fastener, setup)
          Conditions.met?(fastener.where, setup.configuration) &&
            (fastener.per_corner.empty? || fastener.per_corner.key?(setup.configuration["calipers"]))
        end

        def line(fastener, setup, data)
          id = fastener.id
          known = data["#{id}.torque"]
          torque = known&.fetch(:torque)
          value = ->(key) { data.dig("#{id}.#{key}", :value) }
          plausible = fastener.plausible_newton_metres
          flags = {
            source: known&.fetch(:source),
            doubt: torque&.doubt(*plausible),
            hearsay: HEARSAY.include?(known&.fetch(:source)),
            plausible:
          }
          # stretched by its angle, it is single-use unless its owner says otherwise
          stretched = value["single_use"].nil? && !data["#{id}.angle"].nil?
          said = {
            drive: value["drive"],
            thread: value["thread"],
            single_use: stretched || ONCE.include?(value["single_use"]),
            comes_with_pads: value["single_use"] == "with_pads" && setup.configuration["work"].include?("pads"),
            reused: value["single_use"] == "reused",
            threadlocker: value["threadlocker"] || usual_threadlocker(fastener, setup),
            lubrication: value["lubrication"],
            rivals: known&.fetch(:rivals) || [],
            snug: fastener.snug
          }
          Line.new(
            axle: setup.axle,
            fastener: id,
            label: value["name"] || fastener.label,
            count: count(fastener, setup, data),
            torque:,
            **flags,
            **said,
            angle_degrees: data.dig("#{id}.angle", :number)&.value&.to_f,
            star: star(fastener, data),
            note: fastener.note
          )
        end

        # Where the owner entered nothing: by the approach, or as usual.
        def usual_threadlocker(fastener, setup)
          (fastener.threadlocker || {}).find { |_, where| Conditions.met?(where, setup.configuration) }&.first
        end

        def count(fastener, setup, data)
          each = fastener.count(setup.configuration["calipers"], data)
          each && (each * (fastener.shared ? 1 : setup.sides.length))
        end

        def counted(fastener, data)
          fastener.counted_by && data.dig(fastener.counted_by, :number)&.value&.to_i
        end

        def star(fastener, data)
          count = fastener.star && counted(fastener, data)
          count && StarOrder.call(count)
        end
      end
    end
  end
end
