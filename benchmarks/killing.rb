# frozen_string_literal: true

require "sqlite3/fork_safety"

module Benchmarks
  # Runs a block in a process of its own, and kills that at a random moment.
  class Killing
    def initialize(seed)
      @random = Random.new(seed)
      SQLite3::ForkSafety.suppress_warnings!
    end

    # seconds: Range
    def after(seconds)
      child = fork { yield && exit!(0) }
      sleep @random.rand(seconds)
      Process.kill(:KILL, child)
      Process.wait(child)
    end
  end
end
