# frozen_string_literal: true

require "json"
require "tmpdir"
require "rbconfig"
require_relative "simulated_log"

module Benchmarks
  # Many logs, pads and rotors of one axle each, forecast by `graver forecast DIR --out OUT` in one process.
  class LogSpeed
    LOGS = 300
    PADS = Regime::ALL.reject(&:rotors?).freeze
    COMMAND = File.expand_path("../bin/graver", __dir__)

    def print_to(out)
      Dir.mktmpdir do |folder|
        LOGS.times { |number| write(folder, number) }
        empty = timed(File.join(folder, "none"))
        all = timed(folder)
        out.puts format(
                   "%d logs: %.1f s in one process (aim under 10 s), %.0f ms each; start and loading alone %.1f s",
                   LOGS,
                   all,
                   1000 * (all - empty) / LOGS,
                   empty
                 )
      end
    end

    private

    def timed(folder)
      Dir.mkdir(folder) unless File.directory?(folder)
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      system(RbConfig.ruby, COMMAND, "forecast", folder, "--out", File.join(folder, "out"), err: File::NULL)
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
    end

    # Pads of one simulated axle and rotors of another, as far as the pads' log goes.
    def write(folder, number)
      regime = PADS[number % PADS.length]
      world = World::ALL[number % World::ALL.length]
      pads, rotors = SimulatedLog.new(world, regime, number + 1), SimulatedLog.new(world, :rotors, number + 1)
      rest = rotors.csv.lines.drop(1).select { |row| row.split(",")[1].to_f <= pads.as_of_km }
      name = File.join(folder, format("log%03d", number))
      File.write("#{name}.csv", [pads.csv, *rest.map(&:chomp)].join("\n"))
      File.write("#{name}.json", JSON.generate(both(pads, rotors)))
    end

    def both(pads, rotors)
      mine, theirs = [pads, rotors].map { |log| JSON.parse(log.specification) }
      mine["axles"]["front"].merge!(theirs["axles"]["front"])
      mine
    end
  end
end
