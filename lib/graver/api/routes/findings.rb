# frozen_string_literal: true

module Graver
  module API
    module Routes
      # What the readings mean, a shop's claim held against them, and questions about what was noticed on the road.
      module Findings
        def self.registered(app)
          app.helpers do
            def findings_json(id)
              Serializers::Findings.new(knowledge).call(Service::Judging::Findings.new(context).call(id), Service::Axles::Schools.new(context).chosen, context.today)
            end
          end

          app.get("/vehicles/:id/findings") { answer(findings_json(id)) }

          app.post("/vehicles/:id/claims") { answer(Serializers::Findings.new(knowledge).claim(*Service::Judging::Findings.new(context).claim(id, payload(Contracts::Claim)))) }

          app.put("/schools") { answer({ schools: Service::Axles::Schools.new(context).choose(payload(Contracts::SchoolChoice)) }) }

          app.get("/symptoms") do
            answer({ symptoms: knowledge.symptoms.map do |symptom|
              { id: symptom["id"], label: symptom["label"],
                questions: symptom["questions"].map { |question| { id: question["id"], text: question["text"], options: question["options"].map { |id, label| { id:, label: } } } } }
            end })
          end

          app.post("/vehicles/:id/symptoms") do
            given = payload(Contracts::Symptom)
            outcome = Service::Judging::Symptoms.new(context).call(id, { symptom: given[:symptom], answers: given.fetch(:answers, {}).transform_keys(&:to_s) })
            answer({ **outcome.to_h.slice(:word, :sentence, :causes, :measure), tied: outcome.tied.map { |found| Serializers::Findings.new(knowledge).finding(found) } })
          end
        end
      end
    end
  end
end
