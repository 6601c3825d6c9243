# frozen_string_literal: true

require_relative "../support/browser_helper"

# What the checker of single screens (screens_spec) does not see: the tree a screen reader is given, whole ways by
# keyboard, what is said when something was done, twice the size, and nothing that moves for who asked for that.
RSpec.describe "Access to the screens", :demo do
  include BrowserHelper

  # The heading of each.
  let(:many) do
    {
      "/#/" => "Garage",
      "/#/vehicles/1" => "Juniper",
      "/#/vehicles/1/inspection" => "Inspection",
      "/#/vehicles/1/findings" => "Findings",
      "/#/axles/1/wear" => "Front wear",
      "/#/axles/5/brake-data" => "Front brake data",
      "/#/jobs/1/scope" => "Front: new pads",
      "/#/jobs/2/steps" => "Rear: new pads",
      "/#/jobs/2/car" => "Rear left",
      "/#/jobs/1" => "Front: new pads",
      "/#/jobs/1/parts" => "Front: new pads",
      "/#/jobs/1/tools" => "Front: new pads",
      "/#/jobs/1/torque" => "Front: new pads",
      "/#/jobs/1/money" => "Front: new pads",
      "/#/jobs/1/sheet" => "Front: new pads",
      "/#/inspections/8" => "100,310 km",
      "/#/vehicles/1/timeline" => "Timeline",
      "/#/vehicles/1/import" => "Import a spreadsheet",
      "/#/vehicles/1/log" => "Logbook",
      "/#/vehicles/1/jobs" => "Jobs",
      "/#/vehicles/new" => "Add a vehicle",
      "/#/timeline" => "Timeline",
      "/#/workshop" => "Workshop",
      "/#/practice" => "Practice",
      "/#/approaches" => "Approaches",
      "/#/backups" => "Backups",
      "/#/access" => "Phone access",
      "/#/bin" => "Bin",
      "/#/help" => "Help",
      "/#/logbook" => "Logbook",
      "/#/settings" => "Settings"
    }
  end
  # Roles that can be acted on, by ARIA.
  let(:acted_on) { %w[button link textbox combobox checkbox radio spinbutton slider searchbox tab switch] }

  # The accessibility tree as the browser hands it to a screen reader: [[role, name], ...]
  def tree
    page.driver.browser.page.command("Accessibility.getFullAXTree")["nodes"]
      .reject { |node| node["ignored"] }
      .map { |node| [node.dig("role", "value"), node.dig("name", "value").to_s.strip] }
  end

  it "gives screen readers a name for every control, one heading per screen, and landmarks" do
    many.each do |path, heading|
      page.visit path
      expect(page).to have_css("h1", text: heading, count: 1)
      nodes = tree
      nameless = nodes.select { |role, name| acted_on.include?(role) && name.empty? }
      expect(nameless).to be_empty, "#{path}: #{nameless.uniq}"
      expect(nodes.map(&:first)).to include("main", "heading"), path
    end
  end

  it "describes drawn brakes in words" do
    page.visit "/#/vehicles/1"
    expect(page).to have_css("svg[role=img]")
    expect(tree.map(&:last)).to include(match(/left corner: inner pad 3\.\d\u00A0mm, outer pad 6\.\d\u00A0mm, limit 3/))
    page.visit "/#/axles/5/brake-data"
    expect(page).to have_css("svg[role=img]")
    expect(tree.map(&:last)).to include(a_string_including("cut through, drawn to scale"))
  end

  it "changes brake data by keyboard alone and announces the save" do
    page.visit "/#/"
    expect(page).to have_css("article h2")
    vehicle = page.all("article h2 a").index { |link| link.text == "Thistle" } + 1
    type vehicle.to_s
    expect(page).to have_css("h1", text: "Thistle")
    type "b"
    expect(page).to have_css("h1", text: "Front brake data")
    40.times { focused_button == "Discard thickness (MIN TH)" ? break : type(:Tab) }
    type :Enter
    expect_focus("edit-rotor.discard_thickness")
    type "22", :Enter
    expect(page).to have_css("[role=status]", text: "Saved: Discard thickness")
    expect(page).to have_css("[id='cell-rotor.discard_thickness'] button:focus")
    type "?"
    expect(page).to have_css("[role=dialog]", text: "open the value in focus")
    type :Escape
    expect(page).to have_no_css(".is-visible")
    page.go_back
    expect(page).to have_css("h1", text: "Thistle")
  end

  def focused_button = page.evaluate_script("document.activeElement.querySelector('.label')?.textContent ?? ''")

  it "opens and closes a glossary term by keyboard" do
    page.visit "/#/vehicles/1/findings"
    word = page.find("button.word", text: "slide pins", match: :first)
    page.execute_script("arguments[0].focus()", word)
    type :Enter
    expect(page).to have_css("[role=note]", text: "The pin a floating caliper slides on", visible: true)
    type :Escape
    expect(page).to have_no_css("[role=note]:popover-open")
  end

  it "fits at 200 % zoom" do
    page.driver.resize(640, 400)
    wide =
      many.filter_map do |path, heading|
        page.visit path
        expect(page).to have_css("h1", text: heading)
        width = page.evaluate_script("document.documentElement.scrollWidth")
        "#{path}: #{width}" if width > 640
      end
    expect(wide).to be_empty
  end

  it "respects reduced motion" do
    page.driver.browser.page.command(
      "Emulation.setEmulatedMedia",
      features: [{ name: "prefers-reduced-motion", value: "reduce" }]
    )
    page.visit "/#/jobs/1/scope"
    expect(page).to have_text("The rotors")
    moving = <<~JS
      [...document.querySelectorAll("*")].filter((each) => {
        const style = getComputedStyle(each);
        return [style.transitionDuration, style.animationDuration].some((all) => all.split(",").some((one) => parseFloat(one) > 0));
      }).length
    JS
    expect(page.evaluate_script(moving)).to eq(0)
  end
end
