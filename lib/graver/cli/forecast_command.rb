# frozen_string_literal: true

require "fileutils"
require "json"
require "optparse"

module Graver
  module CLI
    # graver forecast LOG.csv --spec SPEC.json [--strict] graver forecast DIR --out OUT [--strict]
    class ForecastCommand
      USAGE =
        "usage: graver forecast LOG.csv --spec SPEC.json [--strict]\n       graver forecast DIR --out OUT [--strict]"
      LARGEST_BYTES = 20_000_000

      # knowledge: one that is loaded already
      def initialize(out: $stdout, err: $stderr, knowledge: nil)
        @knowledge = knowledge
        @out = out
        @err = err
      end

      # Exit status: 0 done; 1 something could not be forecast; 2 wrong call, or bad rows with --strict.
      def call(arguments)
        options = parse(arguments) or return 2
        library = @knowledge || Knowledge::Library.load
        @forecaster = LogFormat::Forecaster.new(normalise: library.normalise, outlook: library.outlook)
        @bad_rows = false
        done = File.directory?(options[:log]) ? folder(options) : single(options)
        return 2 if options[:strict] && @bad_rows

        done ? 0 : 1
      end

      private

      def parse(arguments)
        options = { strict: false }
        rest =
          OptionParser
            .new do |parser|
              parser.on("--spec FILE") { |file| options[:spec] = file }
              parser.on("--out DIR") { |folder| options[:out] = folder }
              parser.on("--strict") { options[:strict] = true }
            end
            .parse(arguments)
        options[:log] = rest.first
        return options if rest.length == 1 && (File.directory?(rest.first) ? options[:out] : options[:spec])

        wrong_call
      rescue OptionParser::ParseError => e
        wrong_call(e.message)
      end

      def wrong_call(message = nil)
        @err.puts(*message, USAGE)
        nil
      end

      def single(options)
        document = forecast(options[:log], options[:spec], "") or return false
        @out.puts JSON.pretty_generate(document)
        true
      end

      def folder(options)
        FileUtils.mkdir_p(options[:out])
        logs = Dir.glob(File.join(options[:log], "*.csv"))
        @err.puts "#{options[:log]}: no logs (*.csv) here" if logs.empty?
        logs.map { |log| one_of_many(log, options[:out]) }.all? && logs.any?
      end

      def one_of_many(log, out)
        name = File.basename(log, ".csv")
        document = forecast(log, log.sub(/\.csv\z/, ".json"), "#{name}: ") or return false
        File.write(File.join(out, "#{name}.json"), JSON.generate(document))
        true
      end

      # Names what is wrong on standard error; nil when there is no forecast.
      def forecast(log, specification, prefix)
        result = @forecaster.call(read(log), read(specification))
        @bad_rows ||= result.faults.any?
        [*result.faults, *result.notes].each { |line| @err.puts "#{prefix}#{line}" }
        result.document
      rescue InvalidEntry => e
        e.faults.each do |fault|
          said = [File.basename(specification), fault.field, fault.message].reject(&:empty?).join(": ")
          @err.puts "#{prefix}#{said}"
        end
        nil
      rescue SystemCallError => e
        @err.puts "#{prefix}#{e.message}"
        nil
      end

      def read(path)
        if File.size(path) > LARGEST_BYTES
          raise InvalidEntry.of(
                  "",
                  "too_large",
                  Say::Texts.t("faults.too_large", name: File.basename(path), most: LARGEST_BYTES / 1_000_000)
                )
        end

        File.read(path, encoding: "UTF-8")
      end
    end
  end
end
