# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What a corner's plan keeps of its configuration while a fact holds there. fields: keys of the configuration;
      # schools: kinds of approaches; work: works and what they mean, of those the corner had.
      Keeps = Value.define(:fields, :schools, :work)
    end
  end
end
