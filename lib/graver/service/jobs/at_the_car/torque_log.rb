# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The torque each bolt of a job reached: bolt by bolt, as read or as clicked. A bolt turned too far asks what was
      # done about it.
      class TorqueLog < JobEvents
        # What was done about a bolt turned too far. A stretch bolt, or a single-use one, is renewed.
        ANSWERS = %w[renewed loosened kept].freeze
        DEGREES = (0.0..360.0)

        # given: { step:, axle: name, fastener:, bolts: [number], reached: text or nil (it clicked), unit:, angle: text
        # or nil, wrench: text or nil, simulated:, answer:, because:, felt: by feel, as no wrench reaches; seen:
        # StepSaid#digest that was read, or nil } -> Storage::Job. Raises InvalidEntry by field, NotFound,
        # ChangedElsewhere.
        def call(id, given)
          job = going(id)
          placed = step(job, given[:step])
          StepSaid.check(placed, given[:seen]) { @plans.torque(job) }
          set = set(job, placed, given)
          refuse_made_up(job) if given[:simulated]
          bolts = bolts(set.line, placed, given[:bolts])
          entry = {
            **given.slice(:step, :axle, :fastener, :wrench),
            simulated: given[:simulated] || false,
            **said(set.line, given)
          }
          @store.transaction { bolts.each { |bolt| record(job, "torqued", { **entry, bolt: }) } }
          @store.jobs.find(id)
        end

        private

        # -> { verdict:, ... } of the bolts
        def said(line, given)
          return { verdict: "felt", because: words("because", given[:because]) } if given[:felt]

          read = read(line, given)
          read[:verdict] == "over" ? answered(line, given, read) : read
        end

        def set(job, placed, given)
          @plans
            .of_job(job)
            .torque
            .find do |each|
              placed.step.tighten.include?(given[:fastener]) &&
                [each.line.axle, each.line.fastener] == given.values_at(:axle, :fastener)
            end || raise(InvalidEntry.of("fastener", "unknown_item", Message.of("torque.not_here")))
        end

        # A simulated wrench's torque must not count on a real vehicle.
        def refuse_made_up(job)
          vehicle = Household::AxleRecords.new(@context).vehicle_with(job.axle_id)
          raise InvalidEntry.of("reached", "simulated", Message.of("torque.simulated")) unless vehicle.sample
        end

        def bolts(line, placed, given)
          count = line.count_at(placed.side)
          wrong = given.any? { |bolt| bolt < 1 || (count && bolt > count) }
          raise InvalidEntry.of("bolts", "out_of_range", Message.of("torque.bolts", count: count.to_i)) if wrong

          given.uniq
        end

        # -> { verdict:, reached:, unit:, newton_metres:, angle: }
        def read(line, given)
          nothing = %i[reached angle].all? { |key| given[key].to_s.strip.empty? }
          return clicked(line) if nothing
          raise InvalidEntry.of("reached", "no_value", Message.of("torque.no_target")) unless line.torque

          newton_metres = newton_metres(given)
          angle = line.angle_degrees && degrees(given[:angle])
          {
            verdict: verdict(line, newton_metres, angle),
            reached: given[:reached]&.strip,
            unit: given[:unit],
            newton_metres: newton_metres&.round(2),
            angle:
          }
        end

        # A click is the first stage alone: a bolt with an angle is tight only once it is turned through it.
        def clicked(line)
          return { verdict: "clicked" } unless line.angle_degrees

          raise InvalidEntry.of("angle", "no_value", Message.of("torque.angle_missing", degrees: line.angle_degrees))
        end

        def verdict(line, newton_metres, angle)
          Core::Planning::TorqueCheck.call(
            newton_metres || line.torque.newton_metres,
            line.torque,
            share: share(line.torque),
            angle_degrees: line.angle_degrees,
            reached_degrees: angle,
            angle_within: @context.knowledge.torque_wrenches.dig("angle_within_degrees", "value")
          )
        end

        def share(torque)
          rules = @context.knowledge.wrench_rules
          torque.newton_metres <= rules.fetch(:small_up_to) ? rules.fetch(:small_share) : rules.fetch(:share)
        end

        def newton_metres(given)
          text = given[:reached].to_s.strip
          return if text.empty?

          Core::Quantity::TORQUE.to_base(Core::Quantity::EnteredNumber.parse(text).value, given[:unit] || "N·m").to_f
        rescue InvalidEntry => e
          raise e.under("reached")
        end

        def degrees(text)
          return if text.to_s.strip.empty?

          value = Core::Quantity::EnteredNumber.parse(text).value.to_f
          return value if DEGREES.cover?(value)

          raise InvalidEntry.of("", "out_of_range", Message.of("faults.between", least: 0, most: 360))
        rescue InvalidEntry => e
          raise e.under("angle")
        end

        def answered(line, given, said)
          allowed = line.once? ? %w[renewed] : ANSWERS
          unless allowed.include?(given[:answer])
            over = said[:angle] ? "#{format("%g", said[:angle])}°" : "#{said[:reached]} #{said[:unit]}"
            raise InvalidEntry.of("answer", "over", Message.of(line.once? ? "torque.over_once" : "torque.over", over:))
          end

          because = given[:answer] == "kept" ? words("because", given[:because]) : nil
          # a renewed or loosened bolt is not tight: tighten it again
          verdict = given[:answer] == "kept" ? "kept" : "undone"
          { **said, verdict:, answer: given[:answer], because: }.compact
        end
      end
    end
  end
end
