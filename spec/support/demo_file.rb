# frozen_string_literal: true

require "tmpdir"
require "yaml"

# Pictures and planted bugs use this file without the specs' helper.
KNOWLEDGE = Graver::Knowledge::Library.load unless defined?(KNOWLEDGE)

# The demo household, filled once and copied for each example that wants it.
module DemoFile
  TODAY = "2026-05-16"
  HOUSEHOLD = File.join(Graver::Boot::ROOT, "demo/household.yml")
  # Forecasts are worked out once for all examples: the same log on the same day is the same question.
  OUTLOOKS = Graver::Service::Base::LruCache.new(5000)

  def self.context(path, today: TODAY)
    Graver::Boot.context(
      { "GRAVER_DATABASE" => path, "GRAVER_TODAY" => today, "GRAVER_SIMULATED_DEVICES" => HOUSEHOLD },
      knowledge: KNOWLEDGE,
      outlooks: OUTLOOKS
    )
  end

  # GRAVER_DEMO_FILE: one filled before, by code without a planted bug (bin/mutate).
  def self.path
    @path ||= ENV.fetch("GRAVER_DEMO_FILE", nil)
    @path ||=
      File
        .join(Dir.mktmpdir, "demo.sqlite3")
        .tap do |path|
          demo = context(path)
          Graver::Service::Tables::LoadHousehold.new(demo).call(YAML.safe_load_file(HOUSEHOLD))
          demo.store.close
          at_exit { FileUtils.rm_rf(File.dirname(path)) }
        end
  end

  # A household's file with nothing in it.
  def self.bare
    @bare ||=
      File
        .join(Dir.mktmpdir, "bare.sqlite3")
        .tap do |path|
          Graver::Storage::Store.open(path).close
          at_exit { FileUtils.rm_rf(File.dirname(path)) }
        end
  end

  # name -> [path of a file, what is known of it as JSON]
  def self.prepared = @prepared ||= {}

  # -> path of a copy that lasts until all examples have run
  def self.keep(database)
    folder = Dir.mktmpdir
    at_exit { FileUtils.rm_rf(folder) }
    File.join(folder, "kept.sqlite3").tap { |path| FileUtils.cp(database, path) }
  end

  # Where an example's own database lies, with the demo in it when the example says so.
  def self.folder(example)
    Dir.mktmpdir.tap do |folder|
      FileUtils.cp(example.metadata[:demo] ? path : bare, File.join(folder, "graver.sqlite3"))
    end
  end
end
