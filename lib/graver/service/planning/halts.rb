# frozen_string_literal: true

require_relative "../../core/value"

module Graver
  module Service
    module Planning
      # A reading in the middle of a job can change what has to be done: the job stops there until it is planned anew.
      module Halts
        # axle: AxleScope; text: why; must: no reason is good enough; works: [work id] the axle's scope is to be;
        # buy: labels of what has to be bought for it
        Halt = Core::Value.define(:axle, :text, :must, :works, :buy)
        # Before these stages nothing is refitted yet, so what was found out there holds nothing up.
        BEFORE = %w[ready safe strip clean].freeze

        module_function

        # Halts that bar a step: those of its own axle, or any for what is done for all.
        def blocking(plans, job, placed)
          return [] if job.state != "started" || BEFORE.include?(placed.step.stage)

          plans.halts(job).select { |halt| [nil, halt.axle.name].include?(placed.axle) }
        end

        # Scope::AxleScope -> what its rotors want otherwise, or nil. Raises nothing.
        def of(axle, because)
          works = axle.works - %w[rotors_new rotors_turn] + [axle.rotors[:proposed]]
          "#{axle.name.capitalize}: the readings changed the verdict on the rotors: #{because} Plan this axle anew#{" or say why not" unless axle.rotors[:must]}; what is done stays done."
            .then { |text| Halt.new(axle:, text:, must: axle.rotors[:must], works:, buy: []) }
        end
      end
    end
  end
end
