# frozen_string_literal: true

module Graver
  module CLI
    # graver backup [--encrypt FILE.zip]: makes a backup of the household's file, also while Graver runs; or a copy
    # locked with a passphrase, which is asked for.
    class BackupCommand
      USAGE = "usage: graver backup [--encrypt FILE.zip]"

      def initialize(input: $stdin, out: $stdout, err: $stderr)
        @input = input
        @out = out
        @err = err
      end

      # Exit status: 0 made; 1 not made; 2 wrong call.
      def call(arguments)
        return made(Boot.backups.make("by-hand").path) if arguments.empty?
        return wrong_call unless arguments.length == 2 && arguments.first == "--encrypt"

        encrypt(arguments.last)
      rescue InvalidEntry => e
        told(e.faults.first.message)
      rescue Error, SystemCallError => e
        told(e.message)
      end

      private

      def made(path)
        @out.puts Say::Texts.t("backups.made", name: path)
        0
      end

      def told(message)
        @err.puts message
        1
      end

      def wrong_call
        @err.puts USAGE
        2
      end

      def encrypt(path)
        return told(Say::Texts.t("exchange.exists", path:)) if File.exist?(path)

        parts = Boot.backups.encrypted(Passphrase.ask(@input, @err))
        File.open(path, "wb", 0o600) { |file| parts.each { |part| file.write(part) } }
        made(path)
      end
    end
  end
end
