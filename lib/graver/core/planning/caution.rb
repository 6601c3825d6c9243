# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A warning at a step (knowledge/cautions.yml). severity: "danger", "warning", "caution" or "notice"
      Caution = Entry.define(:id, :severity, :text)
    end
  end
end
