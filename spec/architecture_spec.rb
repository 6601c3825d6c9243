# frozen_string_literal: true

require "open3"
require "rbconfig"

# One direction of imports, and a core that needs nothing but Ruby itself and a library of number arrays.
RSpec.describe "The architecture" do
  root = File.expand_path("..", __dir__)
  allowed = {
    "core" => %w[core], "log_format" => %w[core log_format], "knowledge" => %w[core knowledge], "storage" => %w[core storage],
    "bench" => %w[core bench],
    "service" => %w[core knowledge storage log_format service], "sheet" => %w[sheet], "api" => %w[core service sheet api], "cli" => %w[core knowledge log_format service cli boot]
  }
  standard_library = %w[date json csv set time yaml optparse fileutils digest zlib securerandom]

  allowed.each do |room, may|
    it "#{room} imports only from #{may.join(", ")}" do
      strays = Dir.glob("#{root}/lib/graver/#{room}/**/*.rb").flat_map do |file|
        File.read(file).scan(/^require_relative "([^"]+)"/).flatten.filter_map do |target|
          place = File.expand_path(target, File.dirname(file)).delete_prefix("#{root}/lib/graver/").split("/").first
          "#{file.delete_prefix("#{root}/")} -> #{target}" unless may.include?(place)
        end
      end
      expect(strays).to be_empty
    end

    it "#{room} names no constant of another room" do
      modules = { "core" => "Core", "knowledge" => "Knowledge", "storage" => "Storage", "bench" => "Bench", "service" => "Service", "api" => "API", "cli" => "CLI",
                  "log_format" => "LogFormat", "sheet" => "Sheet" }
      foreign = modules.except(*may).values
      strays = Dir.glob("#{root}/lib/graver/#{room}/**/*.rb").select { |file| File.read(file).match?(/\b(#{foreign.join("|")})::/) }
      # a context is handed its records from outside; these name the record only in comments
      strays.select! { |file| File.readlines(file).grep_v(/^\s*#/).join.match?(/(?<!Dry::)\b(#{foreign.join("|")})::/) }
      expect(strays).to be_empty
    end
  end

  it "loads the core in a fresh process without gems but that of number arrays, without files, clock or chance" do
    files = Dir.glob("#{root}/lib/graver/core/**/*.rb")
    script = "#{files.map { |file| "require #{file.inspect}" }.join(";")}; print (Gem.loaded_specs.keys - %w[date]).join(' ')"
    bare = { "RUBYOPT" => nil, "BUNDLE_GEMFILE" => nil, "GEM_PATH" => Bundler.bundle_path.to_s }
    gems, errors, status = Open3.capture3(bare, RbConfig.ruby, "--disable=did_you_mean,error_highlight", "-e", script)
    expect([status.success?, errors, gems]).to eq([true, "", "numo-narray"])
    code = files.to_h { |file| [file, File.readlines(file).grep_v(/^\s*#/).join] }
    expect(code.select { |_, text| text.match?(/\b(File|IO|Dir|Net|Sequel|Sinatra|Random|rand|Time\.now|Date\.today|ENV)\b/) }.keys).to be_empty
  end

  it "requires only gems that the room may know" do
    Dir.glob("#{root}/lib/graver/{core,log_format,storage,bench,service,cli,knowledge,sheet}/**/*.rb").each do |file|
      gems = File.read(file).scan(/^\s*require "([^"]+)"/).flatten - standard_library
      gems -= ["numo/narray"] if file.include?("/core/wear/")
      gems -= ["prawn", "prawn/table"] if file.include?("/sheet/")
      gems -= ["sequel"] if file.include?("/storage/")
      gems -= ["json_schemer"] if file.include?("/knowledge/")
      expect(gems).to be_empty, file
    end
  end

  it "keeps the trade's rules out of the browser" do
    sources = Dir.glob("#{root}/web/src/**/*.{ts,svelte}").reject { |file| file.end_with?("schema.d.ts") }
    expect(sources.select { |file| File.read(file).match?(/1\.355|0\.1129|from "(?!\.|svelte|carbon-|@carbon|@fontsource)/) }).to be_empty
  end
end
