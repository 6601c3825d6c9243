# frozen_string_literal: true

module Graver
  module CLI
    # graver work-ahead: what a server starts beside itself. Stores forecasts, and opens the pages of each vehicle that
    # changed before somebody asks for them, so that the server's threads only answer. Ends when nothing has changed for
    # a while, or when the server has gone.
    class WorkAheadCommand
      LOOK_EVERY_SECONDS = 1
      IDLE_SECONDS = 30

      # parent: callable -> id of the process that started it
      def initialize(parent: Process.method(:ppid))
        @parent = parent
        @server = parent.call
      end

      def call(_arguments)
        # at once, whatever it is at: nothing is lost that is not saved
        trap("TERM") { exit!(0) }
        @context, application = Boot.beside
        @ahead = Boot.work_ahead(@context, application)
        idle = 0
        while idle < IDLE_SECONDS && server?
          idle = @ahead.call { server? } ? 0 : idle + LOOK_EVERY_SECONDS
          sleep LOOK_EVERY_SECONDS
        end
        0
      ensure
        @context&.store&.close
      end

      private

      # A process whose parent has ended gets another.
      def server? = @parent.call == @server
    end
  end
end
