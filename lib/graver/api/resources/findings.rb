# frozen_string_literal: true

module Graver
  module API
    module Resources
      # What the readings mean, a shop's claim held against them, and questions about what was noticed on the road.
      class Findings < Resource
        get "/vehicles/:id/findings", :findings
        post "/vehicles/:id/claims", :check_claim
        post "/vehicles/:id/claims/log", :log_claim, 201
        get "/schools", :all_schools
        put "/schools", :choose_schools
        get "/symptoms", :symptoms
        post "/vehicles/:id/symptoms", :answer_symptom

        def findings = kept("findings", id) { serializer.call(judging.call(id), schools.chosen, context.today) }
        def check_claim = serializer.claim(*judging.claim(id, payload(Contracts::Claim)))
        def log_claim = { id: Service::Measuring::LogClaim.new(context).call(id, payload(Contracts::PadClaim)) }
        def all_schools
          chosen = schools.chosen
          { schools: Serializers::Schools.call(knowledge, chosen), revision: revision(chosen) }
        end
        def choose_schools
          given = payload(Contracts::SchoolChoice)
          chosen = as_seen(schools.matter, given) { schools.choose(given) }
          { schools: chosen, revision: revision(chosen) }
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
        def schools = Service::Axles::Schools.new(context)
      end
    end
  end
end
