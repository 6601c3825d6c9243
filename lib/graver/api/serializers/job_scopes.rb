# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The work on each axle of a job, the proposed work and the work it could add.
      class JobScopes
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Jobs::Scope::Chosen
        def call(scope)
          {
            axles: scope.axles.map { |axle| axle(axle) },
            offers: scope.offers.map { |offer| offer(offer) },
            warnings: scope.warnings,
            approaches: Approaches.call(@knowledge, scope.approaches, scope.own_approaches),
            approaches_revision: Service::Base::Revision.of(scope.household)
          }
        end

        private

        def offer(offer)
          { adds: offer.adds.map { |id, works| { axle_id: id, works: } }, **offer.to_h.slice(:text, :found) }
        end

        def axle(axle)
          works = axle.offered.reject(&:rotors)
          {
            id: axle.file.axle.id,
            name: axle.name,
            included: axle.included?,
            works: works.map { |work| work(axle, work) },
            rotors: rotors(axle)
          }
        end

        def work(axle, work)
          {
            **work.to_h.slice(:id, :label, :alone),
            chosen: axle.works.include?(work.id),
            because: axle.proposed[work.id]
          }
        end

        def rotors(axle)
          works = @knowledge.scope_rules.of_rotors(axle.offered)
          {
            chosen: works.key(axle.rotor_works.first) || "stay",
            proposed: works.key(axle.rotors[:proposed]) || "stay",
            must: axle.rotors[:must],
            verdict: axle.rotors[:label],
            reason: axle.reason,
            works:
          }
        end
      end
    end
  end
end
