# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A kind of caliper (knowledge/calipers.yml). template: brake data that are usual of it;
      # drawn: what a sketch of it shows
      Caliper = Entry.define(:id, :label, :drawn, :opposed, :vehicles, :template)
    end
  end
end
