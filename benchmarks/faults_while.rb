# frozen_string_literal: true

require "digest"
require "open3"
require "tmpdir"
require_relative "killing"

module Benchmarks
  # Processes killed while they back up, restore, import or save a photo: what is there afterwards is whole, and is
  # either as it was before or as it was to become.
  class FaultsWhile
    EACH = 40
    NAMES = { backup: "a backup", restore: "a restore", import: "an import", photo: "a photo" }.freeze
    ROWS = 600
    JPEG =
      lambda do
        Open3.capture3("cjpeg", stdin_data: "P6 64 64 255\n".b + Random.bytes(64 * 64 * 3), binmode: true).first
      end

    def initialize(seed: 1)
      @killing = Killing.new(seed)
      @photo = JPEG.call
      @knowledge = Graver::Knowledge::Library.load
    end

    def print_to(out)
      NAMES.each_key do |what|
        found = Array.new(EACH) { Dir.mktmpdir { |folder| send(what, File.join(folder, "house.sqlite3")) } }.tally
        out.puts format(
                   "%d killed during %s: %s (aim: all whole)",
                   EACH,
                   NAMES.fetch(what),
                   found.map { |result, count| "#{count} #{result}" }.join("; ")
                 )
      end
    end

    private

    # Each returns "whole", or what is not.
    def backup(path)
      filled(path) { |context| context.store.pictures.keep(@photo) }
      @killing.after(0.02..0.6) do
        with(path) { |context| 50.times { |at| context.store.backups.make(%w[by-hand daily][at % 2]) } }
      end
      backups = Graver::Storage::Backups.new(path)
      broken = backups.all.reject { |copy| whole_copy?(copy) }
      return "broken backup" if broken.any?

      state(path) == 1 ? "whole" : "broken household"
    end

    def restore(path)
      filled(path)
      names =
        with(path) do |context|
          one = context.store.backups.make("by-hand").name
          add(context, "Second")
          [one, context.store.backups.make("daily").name]
        end
      @killing.after(0.02..0.6) do
        with(path) { |context| 50.times { |at| context.store.backups.restore(names[at % 2]) } }
      end
      { 1 => "whole, of one backup", 2 => "whole, of the other" }.fetch(state(path), "broken household")
    end

    def import(path)
      filled(path)
      @killing.after(0.05..0.8) do
        with(path) do |context|
          imports = Graver::Service::Tables::ImportLog.new(context)
          import = imports.upload(context.store.vehicles.all.first.id, "log.csv", table)
          imports.take(import, imports.columns(import)[:guess])
        end
      end
      return "broken household" unless state(path) == 1

      readings = with(path) { |context| context.store.inspections.of_vehicle(1).sum { |each| each.readings.length } }
      { 0 => "whole, nothing imported", ROWS => "whole, all imported" }.fetch(readings, "half an import")
    end

    def photo(path)
      filled(path)
      @killing.after(0.02..0.4) { with(path) { |context| 200.times { context.store.pictures.keep(JPEG.call) } } }
      files = Dir.glob(File.join(File.dirname(path), "*-photos/*.jpg"))
      broken = files.reject { |file| Digest::SHA256.file(file).hexdigest == File.basename(file, ".jpg") }
      broken.empty? && state(path) == 1 ? "whole" : "broken photo"
    end

    def filled(path)
      with(path) do |context|
        add(context, "First")
        yield context if block_given?
      end
    end

    def add(context, name)
      Graver::Service::Household::AddVehicle.new(context).call({ name:, kind: "car", distance_unit: "km" })
    end

    def table
      lines = ["date,odometer,axle,side,part,pad,event,method,value,unit"]
      ROWS.times do |at|
        day = Date.new(2020, 1, 1) + (at / 4)
        side, pad = %w[left right].product(%w[inner outer])[at % 4]
        lines << [day, 1000 + (at / 4 * 40), "front", side, "pad", pad, "reading", "caliper", "8.0", "mm"].join(",")
      end
      lines.join("\n").b
    end

    def with(path)
      context = Graver::Boot.context({ "GRAVER_DATABASE" => path }, knowledge: @knowledge)
      yield context
    ensure
      context&.store&.close
    end

    # How many vehicles are in a file that opens and is whole; nil otherwise.
    def state(path)
      found = with(path) { |context| context.store.vehicles.all.length }
      Graver::Storage::HouseholdFile.check(path)
      found
    rescue Graver::Error, Sequel::Error
      nil
    end

    def whole_copy?(copy)
      copy.archive? ? Graver::Storage::Archive.check(copy.path) : Graver::Storage::HouseholdFile.check(copy.path)
      true
    rescue Graver::Error
      false
    end
  end
end
