# frozen_string_literal: true

module Graver
  module Service
    module Judging
      # Records the cause of uneven wear: a cause, kept with the vehicle, or none, which stays open and is inspected
      # again.
      class ConfirmedCause
        NONE = "none"

        def initialize(context)
          @context = context
          @ends = Household::FollowUps.new(context)
        end

        # given: { rule:, axle_id:, side:, cause: id of one of the finding's causes, or "none" } -> Storage::FollowUp.
        # Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          found = finding(vehicle_id, given)
          told = { axle_id: given[:axle_id], side: given[:side] }
          if given[:cause] == NONE
            return @ends.add(vehicle_id, { **told, text: open_text(found), look_on: look_on }, about: found.rule)
          end

          cause = found.causes.find { |each| each.id == given[:cause] } or
            raise InvalidEntry.of("cause", "unknown_choice", Message.of("faults.choose", choices: [*ids(found), NONE]))
          @ends.add(vehicle_id, { **told, text: text(found) }, about: found.rule, closed_because: cause.label)
        end

        private

        def ids(found) = found.causes.map(&:id)
        def text(found) = "#{found.place}: #{Typography.inside(found.title)}"
        def open_text(found) = Message.of("findings.no_cause", what: text(found))
        def look_on = (@context.today >> @context.knowledge.relook_months).iso8601

        def finding(vehicle_id, given)
          axle =
            Overview::VehicleOverviews
              .new(@context)
              .find(vehicle_id)
              .axles
              .find { |each| each.file.axle.id == given[:axle_id] }
          found =
            axle&.findings&.find { |each| each.rule == given[:rule] && each.side == given[:side] && each.causes.any? }
          found || raise(InvalidEntry.of("rule", "unknown_item", Message.of("findings.not_there")))
        end
      end
    end
  end
end
