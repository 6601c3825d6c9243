# frozen_string_literal: true

module Graver
  module Core
    module Training
      # What is the part in colour called?
      class NameThePart < BrakeDrill
        # -> Question
        def question = asking(say("drills.part"), "choice", choices:, picture: picture(of: [@asked.id]))

        private

        def offered = @draw.mixed(@draw.mixed(all).first(CHOICES))
        def asked = @draw.pick(@parts)
        def because = say("drills.part_because", part: @asked.label)
        def slip(part) = say("drills.part_slip", part: part.label)
      end
    end
  end
end
