# frozen_string_literal: true

require "open3"
require "rbconfig"
require_relative "support/architecture"

# One direction of imports, and a core that needs nothing but Ruby itself and a library of number arrays.
RSpec.describe Architecture do
  root = File.expand_path("..", __dir__)
  lib = "#{root}/lib/graver"

  it "allows each folder to name, require and use only what it may" do
    expect(described_class.of_folder(lib).strays).to be_empty
  end

  it "finds in each file the constant its path names" do
    script = "require 'graver'; Graver::LOADER.eager_load; print :loaded"
    printed, errors, status = Open3.capture3(RbConfig.ruby, "-I#{root}/lib", "-rbundler/setup", "-e", script)
    expect([status.success?, printed, errors]).to eq([true, "loaded", ""])
  end

  it "loads the core in a fresh process with only the loader's and the array gem" do
    rooms =
      Dir.children(lib).grep_v(
        /\Acore\z|\A(conflict|device_failed|error|invalid_entry|knowledge_error|not_found)\.rb\z/
      )
    script = <<~RUBY
      require "zeitwerk"
      module Graver; end
      loader = Zeitwerk::Loader.new
      loader.push_dir(#{lib.inspect}, namespace: Graver)
      loader.collapse("#{lib}/core/planning/*")
      loader.ignore(#{rooms.map { |room| "#{lib}/#{room}" }.inspect})
      loader.setup
      loader.eager_load
      print (Gem.loaded_specs.keys - %w[date set securerandom syntax_suggest]).sort.join(" ")
    RUBY
    bare = { "RUBYOPT" => nil, "BUNDLER_SETUP" => nil, "BUNDLE_GEMFILE" => nil, "GEM_PATH" => Bundler.bundle_path.to_s }
    gems, errors, status = Open3.capture3(bare, RbConfig.ruby, "--disable=did_you_mean,error_highlight", "-e", script)
    expect([status.success?, errors, gems]).to eq([true, "", "numo-narray zeitwerk"])
  end

  # A rule that nothing can break is none: each of these, planted in a file of its room, is named.
  describe "planted breaches" do
    files = described_class.read(lib)

    define_method(:strays) do |path, body|
      names =
        File
          .dirname(path)
          .split("/")
          .map { |part| { "api" => "API", "cli" => "CLI" }.fetch(part) { part.split("_").map(&:capitalize).join } }
      planted =
        "#{["Graver", *names].map { |name| "module #{name}\n" }.join} class Planted\n def call = #{body}\n end\n#{"end\n" * (names.length + 1)}"
      described_class.new({ **files, path => planted }).strays.select { |stray| stray.start_with?("#{path}: ") }
    end

    {
      "a service named by the core" => ["core/wear/planted.rb", "Service::Base::Context.new", /names Graver::Service/],
      "one named from the root by the core" => [
        "core/planning/order/planted.rb",
        "::Graver::Storage::Store.open(1)",
        /names Graver::Storage/
      ],
      "a name that is looked up at run time" => ["core/wear/planted.rb", 'Graver.const_get("Storage")', /hides/],
      "records named by the knowledge" => ["knowledge/planted.rb", "Storage::Store", /names Graver::Storage/],
      "the clock in the core" => ["core/schedule/planted.rb", "Date.today", /clock/],
      "the clock in a service" => ["service/jobs/order/planted.rb", "Time.now", /clock/],
      "the monotonic clock" => ["core/wear/planted.rb", "Process.clock_gettime(1)", /clock/],
      "unseeded chance" => ["core/wear/planted.rb", "[1, 2].shuffle", /chance/],
      "chance by the kernel" => ["service/household/planted.rb", "rand(3)", /chance/],
      "the environment in a service" => ["service/base/planted.rb", 'ENV.fetch("HOME")', /environment/],
      "a file read by the core" => ["core/quantity/planted.rb", 'File.read("x")', /files/],
      "another program" => ["service/tables/planted.rb", "`date`", /program/],
      "the network" => ["service/base/planted.rb", "TCPSocket.new(1, 2)", /network/],
      "a gem required where it has no business" => [
        "service/household/planted.rb",
        'require "sequel"',
        /requires sequel/
      ],
      "a room of services named from below" => ["service/household/planted.rb", "Jobs::JobPlan.new(1)", /lies above/],
      "services of two rooms beside each other" => [
        "service/workshop/planted.rb",
        "Jobs::Shopping.new(1)",
        /lies above/
      ],
      "records reached by the interface" => ["api/serializers/planted.rb", "context.store.vehicles", /records/],
      "paper that asks a service" => ["sheet/planted.rb", "Service::Jobs::JobChanges", /names Graver::Service/]
    }.each { |what, (path, body, said)| it("notices #{what}") { expect(strays(path, body)).to include(match(said)) } }
  end

  it "keeps the trade's rules out of the browser" do
    sources = Dir.glob("#{root}/web/src/**/*.{ts,svelte}").reject { |file| file.end_with?("schema.d.ts") }
    expect(
      sources.select do |file|
        File.read(file).match?(/1\.355|0\.1129|from "(?!\.|svelte|carbon-|@carbon|@fontsource|d3-|openapi-fetch)/)
      end
    ).to be_empty
  end
end
