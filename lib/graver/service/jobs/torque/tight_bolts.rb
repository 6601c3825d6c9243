# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A step that tightens is done when each of its bolts is marked: by click, by figure, or as tightened by feel with
      # a reason.
      class TightBolts
        TIGHT = %w[ok clicked kept felt].freeze
        LOOSE = %w[under undone].freeze

        def initialize(context)
          @context = context
        end

        # Storage::Job, PlannedStep, JobPlan. Raises InvalidEntry with a fault for each line that is not marked.
        def check(job, placed, plans)
          return if placed.step.tighten.empty? || placed.step.stage == "afterwards"

          faults = self.class.lines(plans.torque(job), placed).filter_map { |line| fault(job, placed, line) }
          raise InvalidEntry, faults if faults.any?
        end

        # A step that can kill is not done over a bolt that is known to be loose there. Raises InvalidEntry.
        def refuse_loose(job, placed)
          return if !placed.step.safety_critical || placed.step.tighten.any?

          loose = job.torques.find { |entry| LOOSE.include?(entry["verdict"]) && there?(entry, placed) } or return
          label = @context.knowledge.fastener(loose["fastener"])&.label || loose["fastener"]
          message = Message.of("torque.loose_first", label: Typography.inside(label), bolt: loose["bolt"])
          raise InvalidEntry.of("bolts.#{loose["axle"]}.#{loose["fastener"]}", "missing", message)
        end

        # Numbers of the bolts of a line not marked as tight, or nil if their count is unknown.
        def missing(job, placed, line)
          count = line.count_at(placed.side) or return
          (1..count).to_a - tight(job, placed, line)
        end

        # The fasteners a step tightens, where a torque is known.
        def self.lines(torque, placed)
          torque
            .map(&:line)
            .select { |line| line.torque && placed.step.tighten.include?(line.fastener) && at?(line, placed) }
        end

        def self.at?(line, placed)
          [nil, line.axle].include?(placed.axle) && [nil, "both", line.axle].include?(placed.lift)
        end
        private_class_method :at?

        private

        # Is it at the corner, the lift or the vehicle the step speaks of?
        def there?(torqued, placed)
          return torqued["step"].start_with?("#{placed.axle}.#{placed.side}.") if placed.axle

          [nil, "both", torqued["axle"]].include?(placed.lift)
        end

        def tight(job, placed, line)
          mine =
            job.torques.select do |entry|
              entry.values_at("step", "axle", "fastener") == [placed.key, line.axle, line.fastener] &&
                TIGHT.include?(entry["verdict"])
            end
          mine.map { |entry| entry["bolt"] }
        end

        def fault(job, placed, line)
          missing = missing(job, placed, line)
          return if missing == []

          label = Typography.inside(line.label)
          message =
            if missing
              Message.of(
                "torque.unmarked",
                axle: line.axle.capitalize,
                label:,
                missing: missing.length,
                all: line.count_at(placed.side)
              )
            else
              Message.of("torque.uncounted", axle: line.axle.capitalize, label:)
            end
          InvalidEntry::FieldError.new(field: "bolts.#{line.axle}.#{line.fastener}", code: "missing", message:)
        end
      end
    end
  end
end
