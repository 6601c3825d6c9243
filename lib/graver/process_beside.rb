# frozen_string_literal: true

module Graver
  # Another program that works beside this process: one at a time, with the least priority, and gone when this one ends.
  class ProcessBeside
    # command: [String], of a program that ends by itself, and when its parent has gone
    def initialize(command, environment = {})
      @command = command
      @environment = environment
    end

    # Starts it unless it runs.
    def start
      return if running?

      @id = Process.spawn(@environment, "nice", "-n", "19", *@command, in: File::NULL, out: File::NULL)
    end

    # Whether it was started and has not ended.
    def running?
      return false unless @id
      return true unless Process.wait(@id, Process::WNOHANG)

      @id = nil
      false
    end

    # Ends it.
    def stop
      return unless running?

      Process.kill(:TERM, @id)
      Process.wait(@id)
    rescue Errno::ESRCH, Errno::ECHILD
      # it ended by itself just then
    ensure
      @id = nil
    end
  end
end
