# frozen_string_literal: true

require "json"
require "open3"

# The interface's own one direction: screens are made of parts, parts ask the API, what formats is free to all. Each
# breach is given to the linter as a file of its place; it must be named, and what is allowed must not.
RSpec.describe "The interface's imports" do
  web = File.expand_path("../web", __dir__)
  one_way = "no-restricted-imports"

  define_method(:named) do |path, source|
    lint = ["node_modules/.bin/eslint", "--stdin", "--stdin-filename", path, "--format", "json"]
    printed, errors, = Open3.capture3(*lint, chdir: web, stdin_data: source)
    raise errors if printed.empty?

    JSON.parse(printed).first.fetch("messages").map { |message| message["ruleId"] }
  end

  {
    "a screen importing another" => [
      "src/screens/wear/planted.ts",
      "export { picture } from \"../job/jobState\";",
      one_way
    ],
    "a screen importing another the long way round" => [
      "src/screens/wear/planted.ts",
      "export { picture } from \"../../screens/job/jobState\";",
      one_way
    ],
    "a screen importing the routes" => [
      "src/screens/wear/planted.ts",
      "export { default } from \"../../routes\";",
      one_way
    ],
    "a part importing a screen" => ["src/parts/planted.ts", "export * from \"../screens/wear/wearScale\";", one_way],
    "the client importing a part" => ["src/api/planted.ts", "export * from \"../parts/boxes\";", one_way],
    "a format importing a part" => ["src/format/planted.ts", "export * from \"../parts/boxes\";", one_way],
    "a component asking past the client" => [
      "src/parts/Planted.svelte",
      "<script lang=\"ts\">void fetch(\"/api/vehicles\");</script>",
      "no-restricted-globals"
    ],
    "markup put in as it comes" => [
      "src/parts/Planted.svelte",
      "<script lang=\"ts\">let { text }: { text: string } = $props();</script>{@html text}",
      "svelte/no-at-html-tags"
    ]
  }.each { |breach, (path, source, rule)| it("names #{breach}") { expect(named(path, source)).to eq([rule]) } }

  it "lets a screen use its own files, parts, the client and formats" do
    source =
      %w[./wearScale ../../parts/boxes ../../api/client ../../format/words].map { |from| "export * from \"#{from}\";" }
    expect(named("src/screens/wear/planted.ts", source.join("\n"))).to be_empty
  end
end
