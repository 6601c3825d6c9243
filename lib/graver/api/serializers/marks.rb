# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The marks an inspected item can have.
      module Marks
        # [Core::Judgement::Mark]
        def self.call(marks) = marks.map { |mark| mark.to_h.slice(:id, :label, :group, :good, :severity, :caution) }
      end
    end
  end
end
