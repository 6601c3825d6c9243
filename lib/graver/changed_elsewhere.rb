# frozen_string_literal: true

module Graver
  # The thing to change is not what its owner saw: another window changed it first. `faults` names each such field with
  # both versions; `revision` is the current state, to be sent back by an owner who still wants the change.
  class ChangedElsewhere < Conflict
    attr_reader :faults, :revision

    def initialize(faults, revision)
      @faults = faults.freeze
      @revision = revision
      super(Message.of("changed.elsewhere"))
    end
  end
end
