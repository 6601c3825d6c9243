# frozen_string_literal: true

require_relative "../support/browser_helper"
require "tempfile"

RSpec.describe "Measuring in the browser", :demo do
  include BrowserHelper

  def open_round(vehicle)
    page.visit "/#/vehicles/#{vehicle}/inspection"
    expect_focus("odometer")
  end

  def last_inspection(vehicle) = context.store.inspections.of_vehicle(vehicle).last

  it "measures all wheels in the owner's order, with marks by tap and their cautions" do
    open_round(1)
    page.find("summary", text: "Order of the wheels").click
    page.select "Rear right", from: "Start at"
    page.select "outer pad", from: "First part at each wheel"
    expect(page.find(".strip")).to have_text(/Rear right.*Front left/m)
    expect(page.all(".strip .name").map(&:text)).to eq(
      ["Rear right", "Rear left", "Front left", "Front right", "Vehicle and finish"]
    )
    page.find_by_id("odometer").click
    type "101300", :Enter
    expect_focus("value-2_right_outer")
    # skip one, come back
    type "6.9", :Enter, :Enter, "9.38", :Enter, :Enter
    expect_focus("value-2_left_outer")
    type "o"
    page.within("[aria-label='Hose']") { page.click_button "bulged" }
    expect(page).to have_text("A bulged hose can burst at the next hard stop. Do not drive.")
    page.click_button "Rear right: 2 of 3 read"
    type "6.8", :Enter
    page.click_button "Vehicle and finish", match: :first
    page.fill_in "Fluid level (fraction)", with: "3/8"
    page.fill_in "Water in the fluid (%)", with: "99"
    expect(page).to have_text("enter a value from 0 to 15 %")
    page.fill_in "Water in the fluid (%)", with: "2,5"
    page.click_button "pulsation"
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Juniper"
    expect(page).to have_css("h1", text: "Juniper").and have_text("Left hose: bulged. A bulged hose can burst")
    saved = last_inspection(1)
    expect(saved.conditions.map { |mark| [mark.side, mark.item, mark.mark || mark.value] }).to include(
      %w[left hose bulged],
      %w[left slide_pins free],
      [nil, "fluid_level", "3/8"],
      [nil, "symptom", "pulsation"]
    )
    expect(saved.readings.map { |row| [row.side, row.pad, row.value] }).to eq(
      [%w[right outer 6.9], %w[right inner 6.8], ["right", nil, "9.38"]]
    )
    open_round(3)
    expect(page.first(".strip .name").text).to eq("Rear right")
  end

  it "answers questions: plate, unit, swapped sides, an earlier reading that was wrong" do
    open_round(1)
    # inner and outer of the seized side the wrong way round; the front right with plate, then in inches
    type "101300", :Enter, "6.5", :Enter, "3.8", :Enter
    expect(page).to have_text("Did you swap them?", count: 2)
    page.click_button "I swapped them", match: :first
    expect(page).to have_field("value-1_left_inner", with: "3.8").and have_field(
            "value-1_left_outer",
            with: "6.5"
          ).and have_no_text("Did you swap them?")
    page.find(".strip button", text: "Front right").click
    type "10.9", :Enter, "0.23", :Enter
    expect(page).to have_text("Was the plate included?").and have_text("If you meant in, it would be 5.8 mm")
    page.find_by_id("value-1_right_inner").click
    type "a"
    # the answered question leaves, and what is below it moves up
    expect(page).to have_text("5.4 mm, ±").and have_no_text("Was the plate included?")
    page.find_by_id("value-1_right_outer").click
    type "a"
    expect(page).to have_text("5.8 mm, ±")
    page.find(".strip button", text: "Rear left").click
    type "8.6", :Enter
    expect(page).to have_text("thicker than last time")
    page.find_by_id("value-2_left_inner").click
    type "b"
    expect(page).to have_text("The earlier reading no longer counts.")
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Juniper"
    expect(page).to have_css("h1", text: "Juniper")
    rows = last_inspection(1).readings
    expect(rows.map { |row| [row.side, row.pad, row.value, row.unit, row.overall, row.flags.map(&:answer)] }).to eq(
      [
        ["left", "inner", "3.8", "mm", false, ["swap"]],
        ["left", "outer", "6.5", "mm", false, ["swap"]],
        ["right", "inner", "10.9", "mm", true, ["with_plate"]],
        ["right", "outer", "0.23", "in", false, ["other_unit"]],
        ["left", "inner", "8.6", "mm", false, ["earlier_wrong"]]
      ]
    )
    earlier =
      context
        .store
        .inspections
        .find(context.store.inspections.of_vehicle(1)[-2].id)
        .readings
        .find { |row| row.axle_id == 2 && row.side == "left" && row.pad == "inner" }
    expect(earlier).to have_attributes(
      void: true,
      corrections: [have_attributes(reason: /Marked as wrong when 8.6\u00A0mm was measured/)]
    )
  end

  it "accepts events, several places, units and data seen at the wheel" do
    open_round(3)
    type "163000", :Enter, "q", :Enter
    expect(page).to have_text("Squealer just touches")
    type "0.40 in", :Enter, "23.9 23.86 23.92", :Enter, :Enter
    expect_focus("value-5_right_inner")
    page.find(".strip button", text: "Front left").click
    expect(page).to have_text("varies by 0.060 mm").and have_text("10.2 mm, ±").and have_text(
                  "is felt in the pedal from about 0.015"
                )
    page.find("summary", text: "While you can see it").click
    page.fill_in "ask-rotor.discard_thickness", with: "22,4"
    type :Enter
    expect(page).to have_no_field("ask-rotor.discard_thickness", wait: 3)
    page.find(".strip button", text: "Front right").click
    type "10,2 9,8 10,4", :Enter, "80%", :Enter
    expect(page).to have_text("taper 0.6 mm").and have_text("10.4 mm, ±")
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Thistle"
    expect(page).to have_css("h1", text: "Thistle")
    rows = last_inspection(3).readings
    expect(rows.map { |row| [row.event, row.method, row.value, row.unit, row.place] }).to eq(
      [
        ["squealer", nil, nil, nil, 1],
        ["reading", "caliper", "0.40", "in", 1],
        ["reading", "micrometer", "23.9", "mm", 1],
        ["reading", "micrometer", "23.86", "mm", 2],
        ["reading", "micrometer", "23.92", "mm", 3],
        ["reading", "caliper", "10,2", "mm", 1],
        ["reading", "caliper", "9,8", "mm", 2],
        ["reading", "caliper", "10,4", "mm", 3],
        ["reading", "percent", "80", "percent", 1]
      ]
    )
    expect(context.store.brake_data.current(5)["rotor.discard_thickness"]).to have_attributes(
      value: "22,4",
      source: "cast"
    )
  end

  it "reads a simulated gauge hands-free, and reports a lost connection" do
    open_round(1)
    page.click_button "Read from the vehicle"
    expect(page).to have_field("odometer", with: "101250").and have_text("Simulated")
    # what was typed is not overwritten unasked
    page.fill_in "odometer", with: "101300"
    page.click_button "Read from the vehicle"
    expect(page).to have_text("The scan tool sends 101250 km; you typed 101300.").and have_field(
            "odometer",
            with: "101300"
          )
    page.click_button "Keep 101300"
    expect(page).to have_field("odometer", with: "101300").and have_no_text("The scan tool sends")
    page.select "Simulated digital caliper", from: "Connected gauge"
    page.click_button "One at a time"
    expect(page).to have_css(".large label", text: "Front left inner pad")
    type "z"
    expect(page).to have_css(".large label", text: "Front left outer pad")
    # what the device sent is in the draft, once the typing has paused
    sent = -> { context.store.drafts.find(1)&.content&.dig("entries", "1_left_inner", "text") }
    (Capybara.default_max_wait_time * 20).times { sent.call.to_s.empty? ? sleep(0.05) : break }
    expect(sent.call).to match(/\A\d\.\d\d\z/)
    context.devices.find("caliper").change("drops" => 100)
    type "z"
    expect(page).to have_text("Lost contact")
    context.devices.find("caliper").change("drops" => 0)
    page.click_button "Connect again"
    expect(page).to have_no_button("Connect again")
    type "z"
    expect(page).to have_css(".large label", text: "Front left rotor")
    expect(page).to have_no_text("Lost contact")
  end

  it "corrects and strikes out readings with a reason, and shows both" do
    page.visit "/#/vehicles/1"
    page.all(".scroll tbody a")[1].click
    expect(page).to have_css("h2", text: "Readings")
    page.click_button "Change front left inner pad"
    page.fill_in "Value", with: "-1"
    page.click_button "Save"
    expect(page).to have_text("Give the reason in a few words")
    page.fill_in "Reason", with: "misread the scale"
    page.click_button "Save"
    expect(page).to have_text("outside this tool's range (0 to 150 mm)")
    page.fill_in "Value", with: "4.1"
    page.click_button "Save"
    expect(page).to have_text("value now 4.1 (entered as 3.9). misread the scale")
    page.click_button "Change front left outer pad"
    page.fill_in "Reason", with: "wrong wheel"
    page.click_button "Strike it out"
    expect(page).to have_text("struck out. wrong wheel").and have_css(".void button", text: "6.7 mm")
    expect(context.store.inspections.of_vehicle(1)[-2].readings.map(&:value)).to include("4.1").and(
      satisfy { |values| !values.include?("6.7") }
    )
  end

  it "keeps tools, finds a wrong zero and takes it out of the readings" do
    page.visit "/#/workshop"
    page.within("article[aria-label='Blue caliper']") do
      expect(page).to have_text("Zero is off").and have_css("tr", text: /Juniper left inner pad.*5.4 mm.*5.26 mm/)
      page.click_button "Subtract 0.14\u00A0mm from 10 readings"
      expect(page).to have_text("readings corrected").and have_no_button("Subtract 0.14 mm from")
    end
    expect(
      context.store.inspections.of_vehicle(1).flat_map(&:readings).find { |row| row.entered == "3.9" }
    ).to have_attributes(
      value: "3.76",
      corrections: [have_attributes(reason: /Blue caliper read \+0.14\u00A0mm too much/)]
    )
    page.click_button "Add a measuring tool"
    page.fill_in "From", with: "25"
    page.fill_in "To", with: "10"
    page.click_button "Add tool"
    expect(page).to have_text("Name: Give it a name.")
    page.fill_in "Your name for it", with: "Big micrometer"
    page.click_button "Add tool"
    expect(page).to have_text("Most: Enter a maximum above the minimum.")
    page.fill_in "To", with: "50"
    page.click_button "Add tool"
    expect(page).to have_css("article[aria-label='Big micrometer']", text: "25 to 50 mm")
  end

  it "imports a person's own table after a preview, and undoes it" do
    table = Tempfile.new(%w[mine .csv])
    table.write(
      "Day;km;FL inner;FL outer;FR rotor;remarks\n12.04.2022;141.100;7,8;8,4;24,10;first\n31.02.2023;143000;7;7;;\n03.10.2022;142400;7,1;abc;;\n"
    )
    table.close
    page.visit "/#/vehicles/3/import"
    page.attach_file("Choose file", table.path)
    expect(page).to have_text("4 readings from 2 services").and have_text("line 3, date: Enter a date").and have_text(
                  "line 4, value: Enter a number"
                )
    before = context.store.inspections.of_vehicle(3).length
    page.click_button "Import 4 readings"
    expect(page.find("[role=status]", text: "4 readings from 2 services imported.")).to have_button("Undo import")
    expect(context.store.inspections.of_vehicle(3).length).to eq(before + 2)
    page.attach_file("Choose file", table.path)
    expect(page).to have_text("4 readings left out: already in the log.")
    page.click_button "Another file"
    page.click_button "Undo"
    expect(page).to have_text("4 readings, undone")
    expect(context.store.inspections.of_vehicle(3).length).to eq(before)
  end
end
