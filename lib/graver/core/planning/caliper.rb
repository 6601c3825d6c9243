# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A kind of caliper (knowledge/calipers.yml). template: brake data that are usual of it
      Caliper = Entry.define(:id, :label, :opposed, :vehicles, :template)
    end
  end
end
