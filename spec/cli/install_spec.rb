# frozen_string_literal: true

require "open3"
require "tmpdir"

RSpec.describe "bin/install" do
  let(:home) { Dir.mktmpdir }
  let(:folder) { File.join(home, "apps & tools/graver") }
  let(:unit) { File.join(home, ".config/systemd/user/graver.service") }
  let(:entry) { File.join(home, ".local/share/applications/graver.desktop") }

  after { FileUtils.rm_rf(home) }

  def install(*arguments)
    bare = { "HOME" => home, "XDG_DATA_HOME" => nil, "XDG_CONFIG_HOME" => nil }
    Open3
      .capture3(bare, File.join(Graver::Boot::ROOT, "bin/install"), *arguments)
      .then { |out, err, done| [out + err, done.exitstatus] }
  end

  it "puts a copy that runs outside the checkout, again over an older one, and removes all but the data" do
    expect(install("--to", folder, "--port", "8499")).to match([/Installed in .*graver doctor/m, 0])
    expect(File.read(unit)).to include(%(ExecStart="#{folder}/bin/run"), "GRAVER_PORT=8499")
    expect(File.read(entry)).to include("Exec=xdg-open http://127.0.0.1:8499/", "Icon=#{folder}/web/dist/icon.svg")
    there = { "HOME" => home, "GRAVER_DATABASE" => "#{home}/data/graver.sqlite3", "BUNDLE_GEMFILE" => nil }
    said, = Open3.capture2e(there, "#{folder}/bin/graver", "backup")
    expect(said).to match(/Backup made|No backup could be made/)
    File.write("#{folder}/lib/old.rb", "")
    expect(install("--to", folder).last).to eq(0)
    expect(File.exist?("#{folder}/lib/old.rb")).to be(false)
    FileUtils.mkdir_p("#{home}/.local/share/graver")
    expect(install("--remove", "--to", folder)).to match([/Your data stay/, 0])
    expect([folder, unit, entry].map { |path| File.exist?(path) }).to eq([false, false, false])
    expect(Dir.exist?("#{home}/.local/share/graver")).to be(true)
  end

  it "touches no folder that isn't its own" do
    FileUtils.mkdir_p("#{home}/photos")
    File.write("#{home}/photos/one.jpg", "x")
    expect(install("--to", "#{home}/photos")).to match([/isn't an installed Graver/, 1])
    install("--remove", "--to", "#{home}/photos")
    expect(File.read("#{home}/photos/one.jpg")).to eq("x")
    expect(install("--port", "many").last).to eq(2)
    expect(install("--wrong").last).to eq(2)
  end

  it "copies the same as the container file" do
    packaging, installing =
      %w[packaging/Containerfile bin/install].map { |path| File.read(File.join(Graver::Boot::ROOT, path)) }
    copied = packaging.scan(/^COPY --from=built (.+)$/).flat_map { |line| line[0].scan(%r{/srv/graver/(\S+)}).flatten }
    installed = installing.scan(/cp -R (.+?) "\$new/).flat_map { |line| line[0].split }
    expect(copied).to match_array(installed)
  end
end
