# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Which of four parts is greased, and which stay dry?
      class WhereGreaseGoes < BrakeDrill
        # -> Question
        def question
          ids = @parts.map(&:id)
          asking(say("drills.grease", grease: @asked.grease), "choice", choices:, picture: picture(of: ids, named: ids))
        end

        private

        def brakes = super.select { |brake| @rules.fetch(:brakes).fetch(brake).any?(&:grease) }

        def offered
          greased = @draw.pick(all.select(&:grease))
          @draw.mixed([greased, *@draw.mixed(all.select(&:dry)).first(CHOICES - 1)])
        end

        def asked = @parts.find(&:grease)
        def because = say("drills.grease_because", part: @asked.label, grease: @asked.grease)
        def slip(part) = say("drills.grease_slip", part: part.label, why: part.dry)
      end
    end
  end
end
