# frozen_string_literal: true

require "json"
require "open3"

# The interface's own one direction: screens are made of parts, parts ask the API, what formats is free to all. Each
# breach is given to the linter as a file of its place; it must be named, and what is allowed must not.
RSpec.describe "The interface's imports" do
  web = File.expand_path("../web", __dir__)
  one_way = "no-restricted-imports"
  syntax = "no-restricted-syntax"

  # One process lints them all: starting the linter takes longer than linting.
  script = <<~JS
    const { ESLint } = require("eslint");
    const linter = new ESLint();
    const given = JSON.parse(require("fs").readFileSync(0, "utf8"));
    const rules = async ([filePath, text]) => (await linter.lintText(text, { filePath }))[0].messages.map((found) => found.ruleId);
    Promise.all(given.map(rules)).then((found) => console.log(JSON.stringify(found)));
  JS

  breaches = {
    "a screen with a field of its own" => [
      "src/screens/wear/Planted.svelte",
      "<label>Odometer <input /></label>",
      "svelte/no-restricted-html-elements"
    ],
    "a component too long to read at once" => ["src/screens/wear/Planted.svelte", "<p>1</p>\n" * 251, "max-lines"],
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
    "the client importing a part" => ["src/api/planted.ts", "export * from \"../parts/controls/ticks\";", one_way],
    "a format importing a part" => ["src/format/planted.ts", "export * from \"../parts/controls/ticks\";", one_way],
    "a text importing a format" => ["src/texts/planted.ts", "export * from \"../format/words\";", one_way],
    "a part importing the routes" => ["src/parts/planted.ts", "export { default } from \"../routes\";", one_way],
    "the client importing the routes" => ["src/api/planted.ts", "export { default } from \"../routes\";", one_way],
    "a state importing a component" => [
      "src/screens/job/planted.svelte.ts",
      "export { default } from \"./JobMoney.svelte\";",
      one_way
    ],
    "a shared state importing a component" => [
      "src/parts/planted.svelte.ts",
      "export { default } from \"./Timeline.svelte\";",
      one_way
    ],
    "a screen importing another when it is needed" => [
      "src/screens/wear/planted.ts",
      "export const later = () => import(\"../job/jobState\");",
      syntax
    ],
    "a part importing a screen when it is needed" => [
      "src/parts/Planted.svelte",
      "<script lang=\"ts\">void import(\"../screens/wear/wearScale\");</script>",
      syntax
    ],
    "an import that hides what it imports" => [
      "src/screens/wear/planted.ts",
      "export const later = (name: string) => import(name);",
      syntax
    ],
    "a screen asking past the client's answers" => [
      "src/screens/wear/planted.ts",
      "import { client } from \"../../api/client\";\nexport const garage = () => client.GET(\"/garage\");",
      syntax
    ],
    "a component asking by the window" => [
      "src/parts/Planted.svelte",
      "<script lang=\"ts\">void window.fetch(\"/api/vehicles\");</script>",
      syntax
    ],
    "the same spelt out" => ["src/parts/planted.ts", "export const ask = globalThis[\"fetch\"];", syntax],
    "an older way to ask" => [
      "src/screens/wear/planted.ts",
      "export const asked = new XMLHttpRequest();",
      "no-restricted-globals"
    ],
    "a beacon" => ["src/parts/planted.ts", "export const sent = () => navigator.sendBeacon(\"/x\");", syntax],
    "a text that calculates" => ["src/texts/planted.ts", "export const feet = (nm: number) => nm / 3;", syntax],
    "a text that judges" => ["src/texts/planted.ts", "export const worn = (mm: number) => mm < 3;", syntax],
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
  }
  allowed =
    %w[./wearScale ../../parts/controls/ticks ../../api/client ../../format/words ../../texts/say].map do |from|
      "export * from \"#{from}\";"
    end

  it "are rejected where they break the import direction, and only there" do
    given = [
      *breaches.values.map { |path, source, _| [path, source] },
      ["src/screens/wear/planted.ts", allowed.join("\n")]
    ]
    printed, errors, status = Open3.capture3("node", "-e", script, chdir: web, stdin_data: JSON.generate(given))
    raise errors unless status.success?

    found = [*breaches.keys, "what is allowed"].zip(JSON.parse(printed)).to_h
    expect(found).to eq({ **breaches.transform_values { |_, _, rule| [rule] }, "what is allowed" => [] })
  end

  # The widgets put the names of their kinds together, so that no tool that trims styles sees them.
  it "ships the styles of each kind of button and notification a screen uses" do
    styles = Dir.glob("#{web}/dist/assets/index-*.css").map { |file| File.read(file) }.join
    used =
      Dir
        .glob("#{web}/src/**/*.svelte")
        .flat_map { |file| File.read(file).scan(/<(Button|InlineNotification)\b[^>]*?kind="([\w-]+)"/m) }
    classes = { "Button" => "bx--btn--", "InlineNotification" => "bx--inline-notification--" }
    missing =
      used.uniq.map { |widget, kind| "#{classes.fetch(widget)}#{kind}" }.reject { |name| styles.include?(".#{name}") }
    expect([used.uniq.length > 4, missing]).to eq([true, []])
  end

  # The first page loads the fonts' core alone; a sign outside it would fetch the other half.
  it "writes its own texts with the characters of the fonts' core" do
    range = File.read("#{web}/src/fonts/fonts.css")[/core\.woff2.*?unicode-range:([^;]+);/m, 1]
    core = range.scan(/U\+(\h+)(?:-(\h+))?/i).flat_map { |from, to| (from.hex..(to || from).hex).to_a }
    files =
      Dir.glob("#{web}/src/{texts,screens,parts}/**/*.{ts,svelte}") +
        Dir.glob(File.join(Graver::Boot::ROOT, "knowledge/**/*.yml"))
    signs = files.flat_map { |file| File.read(file).scan(/[^\x00-\x7f]/) }.uniq
    # the system's own fonts show the first three; the euro comes with the other half where prices are shown
    expect(signs.reject { |sign| core.include?(sign.ord) }).to match_array(%w[✓ ← → €])
  end
end
