# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The parts of a corner's configuration that stay fixed while a fact holds there. fields: keys of the
      # configuration; approaches: kinds of approaches; work: works and their meanings, of those the corner had.
      Keeps = Value.define(:fields, :approaches, :work)
    end
  end
end
