# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A drill on a drawn brake. rules: { brakes: { kind of brake => [Drawing::PartKind] } }, those that are drawn of a
      # usual brake
      class BrakeDrill < Drill
        CHOICES = 4

        # answer: id of a part -> Marking
        def mark(answer)
          given = chosen(answer, choices)
          right = given[:id] == @asked.id
          marking(right, @asked.label, because, right ? nil : slip(@parts.find { |part| part.id == given[:id] }))
        end

        private

        def set_up
          @brake = @draw.pick(brakes)
          @parts = offered
          @asked = asked
        end

        def brakes = @rules.fetch(:brakes).keys
        # One of each name, without what hides the others.
        def all = @rules.fetch(:brakes).fetch(@brake).uniq(&:label).reject(&:gone)
        def choices = @parts.map { |part| { id: part.id, label: part.label } }

        # of: ids of the parts in colour; named: those with their names
        def picture(of: [], named: [])
          { kind: "brake", brake: @brake, of:, named: }
        end
      end
    end
  end
end
