# frozen_string_literal: true

require "json"
require "open3"
require "tmpdir"

# bin/setup on an unknown machine.
RSpec.describe "bin/setup" do
  root = File.expand_path("../..", __dir__)

  # Programs that answer as on another machine, before those that are there. -> [output, errors, success?]
  def setup_with(root, programs, *arguments)
    Dir.mktmpdir do |folder|
      programs.each { |name, script| File.write(File.join(folder, name), "#!/bin/sh\n#{script}\n", perm: 0o755) }
      environment = { "PATH" => "#{folder}:#{ENV.fetch("PATH")}" }
      output, errors, status = Open3.capture3(environment, File.join(root, "bin/setup"), *arguments)
      [output, errors, status.success?]
    end
  end

  # ">=18", "^18.18.0", "18.x", "*"; a second bound (">=14 <19") is not looked at.
  def runs?(range, version)
    least = Gem::Version.new(range[/\d+(\.\d+)*/] || "0")
    same_major = range.match?(/\A(\^|~|\d)/)
    Gem::Version.new(version) >= least && (!same_major || least.segments.first == version.to_i)
  end

  it "names an outdated program and what to do before installing anything" do
    installs = "echo installs >&2; exit 1"
    old_node = setup_with(root, { "node" => "echo v16.20.2", "apt-get" => installs })
    expect(old_node).to match(
      ["", /\Asetup: Node 16\.20\.2 is installed, but Graver needs 18\.18 or newer\. Install/, false]
    )
    old_ruby = setup_with(root, { "ruby" => "printf 2.7.4", "apt-get" => installs })
    expect(old_ruby).to match(
      ["", /\Asetup: Ruby 2\.7\.4 is installed, but Graver needs 3\.1 or newer\. Install/, false]
    )
  end

  it "uses only npm packages that run on Debian 12's Node" do
    packages = JSON.parse(File.read(File.join(root, "web/package-lock.json"))).fetch("packages")
    engines = packages.transform_values { |package| package.dig("engines", "node") }.compact
    expect(engines.length).to be > 100
    too_new = engines.reject { |_, wanted| wanted.split("||").any? { |range| runs?(range.strip, "18.18") } }
    expect(too_new).to be_empty
  end

  it "locks gems for no particular Ruby or Bundler" do
    expect(File.read(File.join(root, "Gemfile.lock"))).not_to match(/^(RUBY VERSION|BUNDLED WITH)/)
  end
end
