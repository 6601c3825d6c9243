# frozen_string_literal: true

require "open3"

module Graver
  module Storage
    # Looks through the whole file in a process of its own: a large one takes a second, and SQLite lets no other thread
    # work in that time.
    class CheckApart
      # How the command ends when it found damage.
      DAMAGED = 1

      # command: what starts "graver check", [String]
      def initialize(command, path)
        @command = command
        @path = path
      end

      # False too where nobody could look.
      def damaged?
        _, status = Open3.capture2e({ "GRAVER_DATABASE" => @path }, "nice", *@command)
        status.exitstatus == DAMAGED
      rescue SystemCallError
        false
      end
    end
  end
end
