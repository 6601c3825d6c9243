# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Practice: drills, and marks for answers. Nothing is stored.
      class Drills < Resource
        get "/drills", :drills
        get "/drills/:kind", :drill
        post "/drills/:kind/answers", :answer_drill
        repeatable :answer_drill
        asks :answer_drill

        def drills = { drills: Service::Training::Drills.all }

        def drill
          seed = params.fetch("seed", "1")
          question = found(seed).question
          { kind: params["kind"], seed: seed.to_i, **question.to_h, picture: question.picture || {} }
        end

        def answer_drill
          given = payload(Contracts::DrillAnswer)
          found(given[:seed]).mark(given[:order] || given[:answer].to_s).to_h
        end

        private

        def found(seed)
          Service::Training::Drills.new(knowledge, rotor_unit: Say::Spoken.lengths["rotor"]).find(params["kind"], seed)
        end
      end
    end
  end
end
