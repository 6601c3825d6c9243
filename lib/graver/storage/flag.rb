# frozen_string_literal: true

module Graver
  module Storage
    # A question that was put, the value it was about, and the answer.
    Flag = Core::Value.define(:code, :question, :value, :unit, :answer)
  end
end
