# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A cause of uneven wear (knowledge/rules/causes.yml). evidence: { "item.mark" => factor }
      CauseEntry = Entry.define(:id, :label, :weight, :evidence, :check, :remedy, needs: nil)
    end
  end
end
