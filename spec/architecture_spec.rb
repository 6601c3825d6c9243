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

  it "finds no two files that need each other" do
    expect(described_class.of_folder(lib).cycles).to be_empty
    planted = {
      "core/wear/a.rb" => "module Graver; class A; def x = B; end; end",
      "core/wear/b.rb" => "module Graver; class B; def x = C; end; end",
      "core/wear/c.rb" => "module Graver; class C; def x = A; end; end"
    }
    expect(described_class.new(planted).cycles.map(&:sort)).to eq([planted.keys])
  end

  it "finds in each file the constant its path names" do
    script = "require 'graver'; Graver::LOADER.eager_load; print :loaded"
    printed, errors, status = Open3.capture3(RbConfig.ruby, "-I#{root}/lib", "-rbundler/setup", "-e", script)
    expect([status.success?, printed, errors]).to eq([true, "loaded", ""])
  end

  # What the core may be loaded with: itself and what belongs to every room.
  own = %w[
    core
    conflict.rb
    device_failed.rb
    english.rb
    error.rb
    invalid_entry.rb
    knowledge_error.rb
    message.rb
    not_found.rb
    terms.rb
    typography.rb
  ]
  alone = <<~RUBY
    require "zeitwerk"
    module Graver; end
    loader = Zeitwerk::Loader.new
    loader.push_dir(#{lib.inspect}, namespace: Graver)
    loader.collapse("#{lib}/core/planning/*")
    loader.ignore(#{(Dir.children(lib) - own).map { |room| "#{lib}/#{room}" }.inspect})
    loader.setup
    loader.eager_load
  RUBY

  # In a process without Graver, its bundle or its texts.
  define_method(:core_alone) do |script|
    bare = { "RUBYOPT" => nil, "BUNDLER_SETUP" => nil, "BUNDLE_GEMFILE" => nil, "GEM_PATH" => Bundler.bundle_path.to_s }
    printed, errors, status =
      Open3.capture3(bare, RbConfig.ruby, "--disable=did_you_mean,error_highlight", "-e", alone + script)
    status.success? && errors.empty? ? printed : raise(errors)
  end

  it "loads the core in a fresh process with only the loader's and the array gem" do
    gems =
      core_alone('print (Gem.loaded_specs.keys - %w[date forwardable set securerandom syntax_suggest]).sort.join(" ")')
    expect(gems).to eq("numo-narray-alt zeitwerk")
  end

  it "runs the core on its own: what it refuses, it refuses by key" do
    said = core_alone(<<~RUBY)
      include Graver::Core
      tries = {
        text: -> { Quantity::EnteredNumber.parse("eight") },
        range: -> { Quantity::EnteredRange.parse("9-8") },
        line: -> { Wear::StraightLine.fit([[0, 10.0], [1000, 9.0], [2000, 8.0]]).reaches(3.0).round.to_s }
      }
      tries.each do |name, try|
        puts [name, try.call].join(" ")
      rescue Graver::InvalidEntry => e
        puts [name, e.faults.first.code, e.message].join(" ")
      end
    RUBY
    expect(said.lines(chomp: true)).to include(
      "text not_a_number faults.not_a_number shown=eight",
      a_string_starting_with("range "),
      "line 7000"
    )
    expect(said).not_to match(/NameError|KeyError/)
  end

  # A rule that nothing can break is none: each of these, planted in a file of its room, is named.
  describe "planted breaches" do
    house = described_class.of_folder(lib)

    define_method(:strays) do |path, body|
      names =
        File
          .dirname(path)
          .split("/")
          .map { |part| { "api" => "API", "cli" => "CLI" }.fetch(part) { part.split("_").map(&:capitalize).join } }
      planted =
        "#{["Graver", *names].map { |name| "module #{name}\n" }.join} class Planted\n def call = #{body}\n end\n#{"end\n" * (names.length + 1)}"
      house.strays_of(path, planted)
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
      "a text said by the core" => ["core/wear/planted.rb", "Say::Texts.t(1)", /names Graver::Say/],
      "a text said by a service" => ["service/base/planted.rb", "Say::Texts.t(1)", /names Graver::Say/],
      "a figure formatted by the storage" => ["storage/planted.rb", "Say::Formats.day(1)", /names Graver::Say/],
      "something printed by the core" => ["core/wear/planted.rb", 'puts "x"', /reaches outside: puts/],
      "something printed by a service" => ["service/base/planted.rb", '$stdout.print "x"', /reaches outside: print/],
      "waiting" => ["core/wear/planted.rb", "sleep 1", /reaches outside: sleep/],
      "the end of the process" => ["service/base/planted.rb", "exit", /reaches outside: exit/],
      "the end of the process by the kernel" => ["storage/planted.rb", "Kernel.abort", /reaches outside: abort/],
      "a global that is set" => ["core/wear/planted.rb", "($kept = 1)", /sets \$kept/],
      "a global that is read" => ["core/wear/planted.rb", "$kept", /reads \$kept/],
      "a class variable" => ["core/wear/planted.rb", "@@kept ||= 1", /keeps @@kept/],
      "an engine run by a serializer" => [
        "api/serializers/planted.rb",
        "Service::Jobs::StepReads.new(1, 2)",
        /runs Graver::Service::Jobs::StepReads/
      ],
      "the core run by a serializer" => [
        "api/serializers/planted.rb",
        "Core::Planning::StepGroups.call([])",
        /runs Graver::Core::Planning::StepGroups/
      ],
      "paper that asks a service" => ["sheet/planted.rb", "Service::Jobs::JobChanges", /names Graver::Service/]
    }.each { |what, (path, body, said)| it("notices #{what}") { expect(strays(path, body)).to include(match(said)) } }
  end

  it "notices a global in a constant of the core" do
    planted = "module Graver; module Core; class Planted; KEPT = {}.compare_by_identity; end; end; end"
    expect(described_class.new({ "core/planted.rb" => planted }).strays).to eq(["core/planted.rb: can change KEPT"])
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
