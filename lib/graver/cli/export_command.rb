# frozen_string_literal: true

module Graver
  module CLI
    # graver export FILE.json|FILE.zip: writes the whole household in the open format, also while Graver runs.
    class ExportCommand
      USAGE = "usage: graver export FILE.json|FILE.zip"

      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      # Exit status: 0 written; 1 not written; 2 wrong call.
      def call(arguments)
        path = arguments.first
        return wrong_call unless arguments.length == 1 && path.end_with?(".json", ".zip")
        raise FileRefused, Message.of("exchange.exists", path:).to_s if File.exist?(path)

        context, = Boot.beside
        write(Service::Tables::Exchange.new(context), path)
        @out.puts Say::Texts.t("exchange.written", path:)
        0
      rescue Error, SystemCallError => e
        @err.puts e.message
        1
      ensure
        context&.store&.close
      end

      private

      def wrong_call
        @err.puts USAGE
        2
      end

      def write(exchange, path)
        File.open(path, "wb", 0o600) do |file|
          path.end_with?(".zip") ? exchange.package.each { |part| file.write(part) } : file.write(exchange.json)
        end
      end
    end
  end
end
