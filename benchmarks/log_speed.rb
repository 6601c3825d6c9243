# frozen_string_literal: true

require "date"
require "json"
require "tmpdir"
require "rbconfig"
require_relative "simulated_axle"

module Benchmarks
  # So many logs, pads and rotors of one axle each, forecast by `graver forecast DIR --out OUT` in one process.
  class LogSpeed
    LOGS = 300
    COMMAND = File.expand_path("../bin/graver", __dir__)
    HEADER = "date,odometer,odometer_unit,axle,side,part,pad,event,method,value,upper,unit,overall,note"
    STARTED = Date.new(2020, 1, 1)

    def print_to(out)
      Dir.mktmpdir do |folder|
        LOGS.times { |number| write(folder, number) }
        empty = timed(File.join(folder, "none"))
        all = timed(folder)
        out.puts format(
                   "%d logs: %.1f s in one process (aim under 60 s), %.0f ms each; start and loading alone %.1f s",
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

    def write(folder, number)
      regime = SimulatedAxle::REGIMES[number % (SimulatedAxle::REGIMES.length - 1)]
      pads, rotors = SimulatedAxle.new(regime, number + 1), SimulatedAxle.new(:rotors, number + 1)
      rows =
        [*rows(pads, "pad"), *rows(rotors, "rotor")].select { |row| row[1] <= pads.as_of_km }.sort_by { |row| row[1] }
      File.write(
        File.join(folder, format("log%03d.csv", number)),
        [HEADER, *rows.map { |row| row.join(",") }].join("\n")
      )
      File.write(File.join(folder, format("log%03d.json", number)), JSON.generate(specification(pads)))
    end

    def specification(pads)
      {
        as_of: {
          date: day(pads.as_of_km).iso8601,
          odometer_km: pads.as_of_km.round(1)
        },
        axles: {
          front: {
            pad: {
              new_mm: 11.0,
              limit_mm: 3.0
            },
            rotor: {
              new_mm: 25.0,
              discard_mm: 23.0
            }
          }
        }
      }
    end

    def rows(axle, part)
      axle.history.sets.flat_map do |set|
        fitted = set.values.first.fitted_km
        [
          [
            day(fitted),
            fitted.round(1),
            "km",
            "front",
            "",
            part,
            "",
            "fit",
            "",
            axle.part.new_mm,
            "",
            "mm",
            "false",
            ""
          ],
          *set.flat_map { |name, fitting| fitting.observations.map { |seen| row(name, part, seen) } }
        ]
      end
    end

    def row(name, part, seen)
      side, pad = name.split("_")
      low, high =
        (
          if seen.thickness.interval?
            [seen.thickness.lower_mm, seen.thickness.upper_mm]
          else
            [seen.thickness.value_mm.round(2), ""]
          end
        )
      method = seen.thickness.interval? ? "gauge" : { "pad" => "caliper", "rotor" => "micrometer" }.fetch(part)
      [
        day(seen.distance_km),
        seen.distance_km.round(1),
        "km",
        "front",
        side,
        part,
        pad,
        "reading",
        method,
        low,
        high,
        "mm",
        "false",
        ""
      ]
    end

    def day(km) = STARTED + (km / 40.0).floor
  end
end
