# frozen_string_literal: true

module Graver
  module CLI
    # graver check: looks through the whole household's file for damage, also while Graver runs.
    class CheckCommand
      # Exit statuses; Storage::CheckApart relies on the first.
      DAMAGED = 1
      TRY_AGAIN = 75

      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      def call(_arguments)
        backups = Boot.backups
        backups.check_household
        @out.puts Say::Texts.t("file.whole", path: backups.household)
        0
      rescue FileBusy => e
        told(e, TRY_AGAIN)
      rescue FileRefused => e
        told(e, DAMAGED)
      end

      private

      def told(error, status)
        @err.puts error.message
        status
      end
    end
  end
end
