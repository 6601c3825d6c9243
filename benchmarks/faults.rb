# frozen_string_literal: true

require "tmpdir"
require_relative "killing"

module Benchmarks
  # Processes killed at random moments: of a first start, of an upgrade, and in the middle of writes. What was
  # acknowledged must be there, and the file must open.
  class Faults
    STARTS = 120
    WRITERS = 60

    def initialize(seed: 1)
      @killing = Killing.new(seed)
      Graver::LOADER.eager_load
    end

    def print_to(out)
      out.sync = true
      out.puts format("%d first starts killed: %d never open again (aim 0)", STARTS, broken_starts)
      lost, broken, acknowledged = killed_writers
      out.puts format(
                 "%d writers killed: %d of %d acknowledged entries lost, %d files broken (aims 0)",
                 WRITERS,
                 lost,
                 acknowledged,
                 broken
               )
    end

    private

    def broken_starts
      STARTS.times.count do
        Dir.mktmpdir do |folder|
          path = File.join(folder, "house.sqlite3")
          @killing.after(0.0..0.15) { Graver::Storage::Store.open(path) }
          !opens?(path)
        end
      end
    end

    # -> [entries lost, files broken, entries acknowledged]
    def killed_writers
      tallies =
        Array.new(WRITERS) do
          Dir.mktmpdir do |folder|
            path = File.join(folder, "house.sqlite3")
            Graver::Storage::Store.open(path).close
            acknowledged = written(path)
            there = opens?(path) ? names(path) : nil
            [acknowledged.length - (acknowledged & (there || [])).length, there ? 0 : 1, acknowledged.length]
          end
        end
      tallies.transpose.map(&:sum)
    end

    # Names the killed writer had acknowledged.
    def written(path)
      reader, writer = IO.pipe
      @killing.after(0.05..0.3) do
        reader.close
        store = Graver::Storage::Store.open(path)
        10_000.times do |at|
          store.transaction { store.vehicles.add(name: "v#{at}", kind: "car", distance_unit: "km", axles: [], at: "t") }
          writer.puts "v#{at}"
        end
      end
      writer.close
      reader.read.lines.map(&:chomp)
    end

    def names(path)
      store = Graver::Storage::Store.open(path)
      store.vehicles.all.map(&:name)
    ensure
      store&.close
    end

    def opens?(path)
      names(path)
      Graver::Storage::HouseholdFile.check(path)
      true
    rescue Graver::Error, Sequel::Error
      false
    end
  end
end
