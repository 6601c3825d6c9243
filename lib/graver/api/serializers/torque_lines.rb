# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The torque card.
      class TorqueLines
        UNITS = { newton_metres: "N·m", pound_feet: "lbf·ft", pound_inches: "lbf·in" }.freeze

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Jobs::Torque::Set
        def call(set)
          line = set.line
          {
            id: set.id,
            axle: line.axle,
            fastener: line.fastener,
            label: line.label,
            count: line.count,
            **in_units(line),
            angle_degrees: line.angle_degrees,
            entered: entered(line),
            entered_unit: line.torque&.unit,
            source: line.source && @knowledge.brake_data.sources.fetch(line.source),
            doubt: doubt(line),
            drive: line.drive && @knowledge.brake_data.label("wheel_nut.drive", line.drive),
            thread: line.thread,
            threadlocker: threadlocker(line),
            single_use: line.single_use,
            snug: line.snug,
            range: line.torque&.low && line.torque.said,
            star: line.star,
            note: line.note,
            wrench: TorqueWrenches.choice(set.wrench)
          }
        end

        # The same in short, for the step: as many fasteners as there are at that place.
        def brief(set, placed)
          {
            count: set.line.count_at(placed.side),
            drive: set.line.drive && @knowledge.brake_data.label("wheel_nut.drive", set.line.drive),
            star: set.line.star,
            wrench: TorqueWrenches.choice(set.wrench),
            axle: set.line.axle,
            label: set.line.label,
            fastener: set.line.fastener,
            **in_units(set.line),
            angle_degrees: set.line.angle_degrees,
            entered: entered(set.line),
            entered_unit: set.line.torque&.unit,
            said: said(set.line)
          }
        end

        private

        def in_units(line) = UNITS.transform_values { |unit| line.torque&.in_unit(unit) }
        def entered(line) = line.torque&.said

        # Notes about the fastener beside its torque.
        def said(line)
          lubrication =
            line.lubrication &&
              "thread: #{@knowledge.brake_data.label("wheel_nut.lubrication", line.lubrication).downcase}"
          [
            line.single_use ? Say::Texts.t("torque.new_ones") : nil,
            line.threadlocker && Say::Texts.t("torque.threadlocker", what: threadlocker(line).downcase),
            lubrication,
            line.torque&.low && line.torque.said
          ].compact
        end

        def rivals(line)
          others =
            line.rivals.map do |torque, source|
              "#{torque.said} (#{@knowledge.brake_data.sources.fetch(source).downcase})"
            end
          Say::Texts.t(
            "torque.disagree",
            value: line.torque.said,
            source: @knowledge.brake_data.sources.fetch(line.source).downcase,
            others: others.join(", ")
          )
        end

        def threadlocker(line)
          line.threadlocker && @knowledge.brake_data.label("wheel_nut.threadlocker", line.threadlocker)
        end

        def doubt(line)
          return rivals(line) if line.rivals.any?
          return TorqueDoubt.sentence(line.torque, line.doubt, line.plausible) unless line.hearsay && !line.doubt

          Say::Texts.t("torque.hearsay")
        end
      end
    end
  end
end
