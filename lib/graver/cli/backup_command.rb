# frozen_string_literal: true

module Graver
  module CLI
    # graver backup: makes a backup of the household's file, also while Graver runs.
    class BackupCommand
      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      def call(_arguments)
        @out.puts Say::Texts.t("backups.made", name: Boot.backups.make("by-hand").path)
        0
      rescue Error => e
        @err.puts e.message
        1
      end
    end
  end
end
