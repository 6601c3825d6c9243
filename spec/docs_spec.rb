# frozen_string_literal: true

require "yaml"
require_relative "../docs/reference/api_reference"
require_relative "support/documentation"

RSpec.describe "The docs" do
  root = Graver::Boot::ROOT
  pages = Dir.glob("{README,CONTRIBUTING,CHANGELOG,SECURITY}.md", base: root) + Dir.glob("docs/**/*.md", base: root)

  def anchors(page)
    File.read(page).scan(/^#+ (.+)$/).flatten.map { |title| title.downcase.gsub(/[^\w\s-]/, "").strip.tr(" ", "-") }
  end

  def reaches?(page, link)
    path, anchor = link.split("#", 2)
    target = path.empty? ? page : File.expand_path(path, File.dirname(page))
    File.exist?(target) && (anchor.nil? || anchors(target).include?(anchor))
  end

  it "link only to what is there" do
    links =
      pages.flat_map do |page|
        File
          .read(File.join(root, page))
          .scan(/\]\((?!https?:)([^)\s]+)\)/)
          .map { |link,| [File.join(root, page), link] }
      end
    expect(links.length).to be > 60
    expect(links.reject { |page, link| reaches?(page, link) }).to be_empty
  end

  it "show every picture, and have one of each main view" do
    shown = pages.flat_map { |page| File.read(File.join(root, page)).scan(%r{screenshots/([\w-]+\.png)}) }.flatten.uniq
    expect(shown).to match_array(Dir.children(File.join(root, "docs/screenshots")))
  end

  it "name every setting and no other" do
    text = File.read(File.join(root, "docs/configuration.md"))
    expect(text.scan(/GRAVER_[A-Z_]+/).uniq).to match_array(Graver::Boot::SETTINGS.keys)
  end

  it "name every error code of the API" do
    codes =
      YAML.safe_load_file(File.join(root, "openapi/graver.yml")).dig("components", "schemas", "ProblemCode", "enum")
    expect(File.read(File.join(root, "docs/api.md")).scan(/\| \d+ \| (.+?) \|/).join.scan(/\w+/)).to match_array(codes)
  end

  it "hold the API reference as it is described now" do
    expect(File.read(File.join(root, "docs/api-reference.html"))).to eq(
      ApiReference.new(File.join(root, "openapi/graver.yml")).html
    )
  end

  it "hold the open format's schema as it is read" do
    expect(JSON.parse(File.read(File.join(root, "docs/household.schema.json")))).to eq(
      Graver::Storage::OpenFormat::Tree.schema
    )
  end

  it "say of nine in ten public methods what they take and return" do
    %w[core service storage].each do |room|
      counted = Documentation.of(File.join(Graver::Boot::ROOT, "lib/graver", room))
      expect(counted.told / counted.all.to_f).to be >= 0.9, "#{room}: #{counted.told} of #{counted.all}"
    end
  end
end
