# frozen_string_literal: true

module Graver
  module Core
    module Wear
      class AxleFilter
        # What the readings of one service change in every hypothesis.
        module AtAService
          private

          # Readings of one day by one eye or one gauge share an error: each such group is processed together.
          def read(epoch)
            epoch
              .readings
              .group_by { |_, observation| observation.thickness.group }
              .each_value do |readings|
                suppose_errors(readings)
                readings.each { |component, observation| observe(component, observation) }
                forget_errors
              end
            hypotheses.prune(MERGED)
            hypotheses.merge
            hypotheses.prune(KEPT)
          end

          def observe(component, observation)
            share = @prior.wrong[:share] * (observation.affirmed ? @prior.affirmed_times : 1)
            wrong = @prior.wrong.merge(share: 1 - ((1 - share) * observation.trust))
            chance = hypotheses.observe(component, observation.thickness.own, wrong)
            off = hypotheses.off
            hypotheses.mark([component, observation], chance + off - (chance * off))
            hypotheses.prune(WHILE_READING)
          end

          # All right; all with one error; all with their plates; over the lip. The usual shared error comes on top. If
          # one of them was affirmed, the tool was checked.
          def suppose_errors(readings)
            errors = errors_possible(readings)
            shares = [1 - errors.sum { |error| error[:share] }, *errors.map { |error| error[:share] }]
            logs = shares.map { |share| Math.log(share + TINY) }
            which = hypotheses.branch(logs, BRANCHED, negligible: NEGLIGIBLE_CHANGE)
            errors.each_with_index { |error, at| suppose_error(error, Numo::DFloat.cast(which.eq(at + 1))) }
            hypotheses.share_error(usual_shared(readings))
            hypotheses.tell(Numo::DFloat.cast(which))
            hypotheses.mark_biased_service(Numo::DFloat.cast(which.gt(0)))
          end

          def usual_shared(readings)
            Math.sqrt(readings.sum { |_, observation| observation.thickness.shared_mm**2 } / readings.length)
          end

          def suppose_error(error, mask)
            hypotheses.disturb(Hypotheses::BIAS, error[:sd_mm]**2, shift: error[:mm] || 0.0, mask:)
          end

          def errors_possible(readings)
            errors = [@prior.wrong_service]
            errors << @prior.plate_service if plate?(readings)
            errors << @prior.lip_service if lip?(readings)
            times = readings.any? { |_, observation| observation.affirmed } ? @prior.affirmed_times : 1
            errors.map { |error| error.merge(share: error[:share] * times) }
          end

          # Whether the tool may have rested on the lip that wear leaves at the edge.
          def lip?(readings)
            readings.any? do |_, observation|
              @prior.lip_service[:methods].include?(Array(observation.thickness.group).first)
            end
          end

          def plate?(readings)
            return false unless @prior.plate_service[:mm]

            expected = (hypotheses.mean * hypotheses.weights[:new, true]).sum(axis: 1)
            readings.any? do |component, observation|
              observation.thickness.value_mm - expected[hypotheses.thickness(component)] > PLATE_GAP_MM
            end
          end

          def forget_errors = hypotheses.recall(Hypotheses::BIAS, 0.0, 0.0)
        end
      end
    end
  end
end
