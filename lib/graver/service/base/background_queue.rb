# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Work that nobody waits for, one piece after the other, in a thread of its own. What is lost with a stopped
      # server is found missing and done again the next time.
      class BackgroundQueue
        def initialize
          @work = Queue.new
          @thread = Thread.new { loop { run(@work.pop) } }
        end

        # piece: a callable
        def call(piece) = @work << piece

        private

        def run(piece)
          piece.call
        rescue StandardError => e
          ErrorLog.report(e)
        end
      end
    end
  end
end
