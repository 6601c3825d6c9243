# frozen_string_literal: true

module Graver
  module CLI
    # graver restore [NAME|FILE]: restores a backup, or lists them. Refuses while Graver runs: then restore in the app.
    class RestoreCommand
      def initialize(input: $stdin, out: $stdout, err: $stderr)
        @input = input
        @out = out
        @err = err
      end

      def call(arguments)
        arguments.empty? ? list(Boot.backups.all) : Boot.alone { restore(arguments.first) }
      rescue InvalidEntry => e
        told(e.faults.first.message)
      rescue Error => e
        told(e.message)
      end

      private

      def told(message)
        @err.puts message
        1
      end

      def list(copies)
        @out.puts(copies.map { |copy| "#{copy.name}  #{copy.bytes} bytes" })
        @out.puts Say::Texts.t("backups.none") if copies.empty?
        0
      end

      def restore(given)
        backups = Boot.backups
        name = File.file?(given) ? taken_in(given, backups) : given
        before = backups.restore(name)
        said =
          (
            if before
              Say::Texts.t("backups.restored", name:, before: before.name)
            else
              Say::Texts.t("backups.restored_alone", name:)
            end
          )
        @out.puts said
        0
      end

      # An archive from elsewhere, locked or not -> its name here
      def taken_in(path, backups)
        passphrase = Passphrase.ask(@input, @err) if path.end_with?(".zip")
        File.open(path, "rb") { |file| backups.take_in(passphrase:) { |out| IO.copy_stream(file, out) } }
      end
    end
  end
end
