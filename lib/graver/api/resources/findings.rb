# frozen_string_literal: true

module Graver
  module API
    module Resources
      # What the readings mean, a shop's claim compared with them, and questions about what the driver noticed.
      class Findings < Resource
        get "/vehicles/:id/findings", :findings
        post "/vehicles/:id/claims", :check_claim
        post "/vehicles/:id/claims/log", :log_claim, 201
        get "/approaches", :all_approaches
        put "/approaches", :choose_approaches
        get "/symptoms", :symptoms
        post "/vehicles/:id/symptoms", :answer_symptom
        asks :check_claim

        def findings = kept("findings", id) { serializer.call(judging.call(id), approaches.chosen, context.today) }
        def check_claim = serializer.claim(*judging.claim(id, payload(Contracts::Claim)))
        def log_claim = { id: Service::Measuring::LogClaim.new(context).call(id, payload(Contracts::PadClaim)) }
        def all_approaches
          chosen = approaches.chosen
          { approaches: Serializers::Approaches.call(knowledge, chosen), revision: revision(chosen) }
        end
        def choose_approaches
          given = payload(Contracts::ApproachChoice)
          chosen = if_unchanged(approaches.versioned_fields, given) { approaches.choose(given) }
          { approaches: chosen, revision: revision(chosen) }
        end
        def symptoms = Serializers::Symptoms.new(knowledge).all

        def answer_symptom
          given = payload(Contracts::Symptom)
          answers = given.fetch(:answers, {}).transform_keys(&:to_s)
          Serializers::Symptoms.new(knowledge, context.today).outcome(
            Service::Judging::Symptoms.new(context).call(id, { symptom: given[:symptom], answers: })
          )
        end

        private

        def serializer = Serializers::Findings.new(knowledge)
        def judging = Service::Judging::Findings.new(context)
        def approaches = Service::Household::Approaches.new(context)
      end
    end
  end
end
