# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Work that no request waits for, one task at a time, in a separate thread. Tasks lost with a stopped server are
      # found missing and done next time.
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
