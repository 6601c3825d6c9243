# frozen_string_literal: true

require "digest"
require "json"

module Graver
  module Service
    module Jobs
      # What a step told its reader to do: its words, and the torque of each bolt it tightens. A tick says what its
      # sender had read, so that nobody confirms a torque that another window has changed meanwhile.
      module StepSaid
        DIGITS = 10

        module_function

        # torque: [Torque::Set] of the job -> digest
        def digest(placed, torque)
          lines = TightBolts.lines(torque, placed)
          told =
            lines.map { |line| [line.axle, line.fastener, line.torque.newton_metres.to_s, line.angle_degrees.to_s] }
          Digest::SHA256.hexdigest(JSON.generate([placed.step.text, told]))[0, DIGITS]
        end

        # seen: digest its sender had read, or nil: not asked. The block gives the torque of the job. Raises
        # ChangedElsewhere.
        def check(placed, seen)
          return if seen.nil? || seen == digest(placed, placed.step.tighten.empty? ? [] : yield)

          message = Message.of("jobs.step_changed")
          raise ChangedElsewhere.new(
                  [InvalidEntry::FieldError.new(field: "step", code: "changed_elsewhere", message:)],
                  nil
                )
        end
      end
    end
  end
end
