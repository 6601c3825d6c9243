# frozen_string_literal: true

module Graver
  module CLI
    # graver import FILE --merge|--replace [--trial]: reads a household of the open format. Refuses while Graver runs:
    # then import in the app.
    class ImportCommand
      USAGE = "usage: graver import FILE --merge|--replace [--trial]"

      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      # Exit status: 0 imported, or tried; 1 refused, with what is wrong; 2 wrong call.
      def call(arguments)
        flags, files = arguments.partition { |argument| argument.start_with?("--") }
        modes = flags & %w[--merge --replace]
        return wrong_call unless files.length == 1 && modes.length == 1 && (flags - modes - ["--trial"]).empty?

        Boot.alone { read(files.first, modes.first.delete_prefix("--"), flags.include?("--trial")) }
      rescue Error, SystemCallError => e
        @err.puts e.message
        1
      end

      private

      def wrong_call
        @err.puts USAGE
        2
      end

      def read(path, mode, trial)
        context = Boot.context
        result = Service::Tables::Exchange.new(context).read(mode, trial:) { |out| IO.copy_stream(path, out) }
        return refused(result) if result.faults.any?

        @out.puts said(result), counts(result)
        0
      ensure
        context&.store&.close
      end

      def refused(result)
        @err.puts Say::Texts.t("exchange.refused")
        result.faults.each { |fault| @err.puts Say::Texts.t(wording(fault), **fault.to_h.compact) }
        1
      end

      def wording(fault)
        return "exchange.fault_of_file" if fault.place.empty?

        fault.line ? "exchange.fault_at_line" : "exchange.fault"
      end

      def said(result)
        return Say::Texts.t("exchange.would") unless result.done

        result.backup ? Say::Texts.t("exchange.done", backup: result.backup) : Say::Texts.t("exchange.done_alone")
      end

      def counts(result)
        result
          .counts
          .reject { |_, count| count.sum.zero? }
          .map do |table, count|
            Say::Texts.t("exchange.count", what: Say::Texts.t("exchange.table_#{table}"), **count.to_h)
          end
      end
    end
  end
end
