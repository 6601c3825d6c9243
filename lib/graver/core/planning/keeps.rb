# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What a corner's plan keeps of its configuration while a fact holds there. fields: keys of the configuration;
      # approaches: kinds of approaches; work: works and what they mean, of those the corner had.
      Keeps = Value.define(:fields, :approaches, :work)
    end
  end
end
