# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The parts counter's offers for one line of a job.
      class PartOffers
        # offer: Devices::PartsCounter::Offer; checks: [Core::Planning::PartMatch::Check]
        Checked = Core::Value.define(:offer, :checks)

        def initialize(context)
          @context = context
        end

        # Is there a counter to ask?
        def self.open?(context) = !context.counter.nil?

        # Whether the counter is made up.
        def simulated? = @context.counter.simulated?

        # line: "front.pads", or the id of a consumable or tool -> [Checked]. Raises NotFound, DeviceFailed.
        def call(plan, line)
          raise DeviceFailed, Message.of("devices.no_counter") unless self.class.open?(@context)

          part = plan.parts.find { |each| each.id == line }
          return loose(plan, line).map { |offer| Checked.new(offer:, checks: []) } unless part

          file = plan.scope.included.find { |axle| axle.name == part.line.axle }.file
          known = part.line.matches.to_h { |what, match| [what.to_sym, file.length_mm(match["key"])] }
          offers =
            @context.counter.offers(
              item: part.line.id.split(".").first,
              wanted: {
                thickness_mm: nil,
                diameter_mm: nil,
                **known
              }
            )
          offers.map { |offer| Checked.new(offer:, checks: checks(part, known, offer)) }
        end

        private

        def loose(plan, id)
          known = plan.consumables.map(&:id) + plan.tools.map { |tool| tool.line.id }
          raise NotFound, Message.of("missing.line") unless known.include?(id)

          @context.counter.offers(item: id, wanted: { thickness_mm: nil, diameter_mm: nil })
        end

        def checks(part, known, offer)
          details = part.line.matches.keys.to_h { |what| [what, offer[what.to_sym]] }
          Core::Planning::PartMatch.call(
            part.line.matches,
            details,
            part.line.matches.to_h { |what, match| [match["key"], known[what.to_sym]] }
          )
        end
      end
    end
  end
end
