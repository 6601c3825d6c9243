# frozen_string_literal: true

require "fileutils"
require "json"
require "tmpdir"
require_relative "mutants"

module Benchmarks
  # Plants bugs one at a time and runs the examples that enter their line.
  class MutationRun
    ROOT = File.expand_path("..", __dir__)
    LIB = File.join(ROOT, "lib/graver")
    # The cheapest examples first, up to this many seconds; a bug that loops is noticed too.
    MOST_SECONDS = 60
    TIMEOUT = 150
    LOADER = File.join(__dir__, "mutant_loader.rb")
    WATCHER = File.join(__dir__, "entered_lines.rb")

    def initialize(count:, seed:, jobs:, places:)
      @count = count
      @random = Random.new(seed)
      @jobs = jobs
      @places = places
    end

    # -> exit status: 0 when four in five are noticed
    def print_to(out)
      Dir.mktmpdir do |folder|
        @folder = folder
        out.puts "Which example enters which line (every spec once) ..."
        @entered, @seconds = entered
        survivors = survivors(chosen = mutants.sample(@count, random: @random), out)
        out.puts "\n#{chosen.length - survivors.length} of #{chosen.length} noticed."
        survivors.length <= chosen.length / 5.0 ? 0 : 1
      end
    end

    private

    def mutants
      files =
        @places.flat_map { |place| File.file?(place) ? [File.expand_path(place)] : Dir.glob("#{LIB}/#{place}/**/*.rb") }
      files.sort.flat_map { |file| Mutants.of(file, File.read(file)) }
    end

    def entered
      kept = File.join(@folder, "entered.json")
      ok =
        run(
          { "GRAVER_ENTERED" => kept },
          WATCHER,
          %w[--exclude-pattern spec/{system,cli}/**/*_spec.rb,spec/architecture_spec.rb]
        )
      ok || abort("the specs fail without any planted bug")
      JSON.parse(File.read(kept)).values_at("entered", "seconds")
    end

    def survivors(chosen, out)
      queue = Queue.new(chosen)
      found = Queue.new
      workers =
        Array.new(@jobs) do |number|
          Thread.new do
            while (mutant = next_of(queue))
              noticed = noticed?(mutant, number)
              found << mutant unless noticed
              out.puts "\nNot noticed: #{mutant}" unless noticed
              out.print(".") if noticed
              out.flush
            end
          end
        end
      workers.each(&:join)
      Array.new(found.length) { found.pop }
    end

    def next_of(queue)
      queue.pop(true)
    rescue ThreadError
      nil
    end

    def noticed?(mutant, number)
      examples = entering(mutant).sort_by { |id| @seconds.fetch(id, 1) }
      spent = 0
      examples =
        examples.take_while { |id| (spent += @seconds.fetch(id, 1)) <= MOST_SECONDS || spent == @seconds.fetch(id, 1) }
      return false if examples.empty?

      text = File.join(@folder, "mutant-#{number}.rb")
      File.write(text, mutant.apply(File.read(mutant.file)))
      !run(
        { "GRAVER_MUTANT_FILE" => mutant.file, "GRAVER_MUTANT_TEXT" => text },
        LOADER,
        ["--fail-fast", "--order", "defined", *examples]
      )
    end

    # Examples that enter its line; Ruby counts the lines of an argument with their statement, and what a class body
    # says when it is loaded with none: then those that enter the statement, else any of the file.
    def entering(mutant)
      lines = [[mutant.line], mutant.statement].map { |each| each.map { |line| "#{mutant.file}:#{line}" } }
      lines << @entered.keys.select { |place| place.start_with?("#{mutant.file}:") }
      lines.map { |places| @entered.values_at(*places).compact.flatten.uniq }.find(&:any?) || []
    end

    # True when all examples pass in time.
    def run(environment, before, arguments)
      command = [
        "timeout",
        (environment.key?("GRAVER_ENTERED") ? 1200 : TIMEOUT).to_s,
        "bundle",
        "exec",
        "rspec",
        # before anything of the app is loaded, so not after what .rspec requires
        "--options",
        File::NULL,
        "-r",
        before,
        "-r",
        "spec_helper",
        *arguments
      ]
      system({ "GRAVER_DEMO_FILE" => demo, **environment }, *command, chdir: ROOT, out: File::NULL, err: File::NULL) ==
        true
    end

    # The demo household, filled once by the code without a planted bug.
    def demo
      @demo ||=
        File
          .join(@folder, "demo.sqlite3")
          .tap do |path|
            ruby = "require 'graver'; require 'support/demo_file'; FileUtils.cp(DemoFile.path, ARGV.first)"
            system("bundle", "exec", "ruby", "-Ilib", "-Ispec", "-e", ruby, path, chdir: ROOT) ||
              abort("the demo cannot be filled")
          end
    end
  end
end
