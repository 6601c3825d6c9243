# frozen_string_literal: true

module Graver
  module CLI
    # graver restore [NAME|FILE]: restores a backup, or lists them. Refuses while Graver runs: then restore in the app.
    class RestoreCommand
      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      def call(arguments)
        arguments.empty? ? list(Boot.backups.all) : Boot.alone { restore(arguments.first) }
      rescue Error => e
        @err.puts e.message
        1
      end

      private

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

      # An archive from elsewhere -> its name here
      def taken_in(path, backups)
        File.open(path, "rb") { |file| backups.take_in { |out| IO.copy_stream(file, out) } }
      end
    end
  end
end
