# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The tightening order of wheel nuts: always across, so that the wheel seats evenly. An even circle is worked in
      # opposite pairs, the pairs in star order; an odd one by the widest step.
      module StarOrder
        module_function

        # count 1 to 10 -> nut numbers counted round the circle, e.g. 5 -> [1, 3, 5, 2, 4]. Raises ArgumentError.
        def call(count)
          raise ArgumentError, "a star order requires 1 to 10 nuts, got #{count}" unless count.between?(1, 10)
          return (0...count).map { |turn| (turn * ((count - 1) / 2) % count) + 1 } if count.odd? && count > 3
          return (1..count).to_a if count <= 3

          call(count / 2).flat_map { |nut| [nut, nut + (count / 2)] }
        end
      end
    end
  end
end
