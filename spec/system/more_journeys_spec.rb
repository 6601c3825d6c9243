# frozen_string_literal: true

require_relative "../support/browser_helper"
require_relative "../../benchmarks/first_page"

RSpec.describe "More journeys in the browser" do
  include BrowserHelper

  def add(kind, **answers)
    page.visit "/#/vehicles/new"
    page.fill_in "Your name for it", with: "Wren"
    page.choose kind, allow_label_click: true
    answers.each_value { |label| page.choose label, allow_label_click: true }
    page.click_button "Add vehicle"
    page.click_link "Later: go to the vehicle"
    expect(page).to have_css("h1", text: "Wren")
  end

  def open_inspection(axle)
    page.within("section[aria-label='#{axle} axle']") { page.click_link "Inspect the #{axle}" }
    expect_focus("odometer")
  end

  it "says what to do first in an empty garage" do
    page.visit "/"
    expect(page).to have_text("Your garage is empty")
    page.click_link "Add a vehicle", match: :first
    page.click_button "Add vehicle"
    expect(page).to have_text("Fill this in.")
  end

  it "measures a one-disc motorcycle in inches and 32nds, with the plate" do
    add("Motorcycle", discs: "One, on the left", unit: "Miles")
    page.within("section[aria-label='front axle']") { expect(page).to have_css("svg[role=img]", count: 1) }
    open_inspection("front")
    # u: inch; p: with plate, while the field is empty
    type "12000", :Enter, "u", "p", "0.41", :Enter
    expect(page).to have_text("5.4 mm, ±")
    type "u", "13", :Enter
    expect(page).to have_text("5.3 mm, ±")
    type "u", "0.1752", :Enter, "0.1760", :Enter, :Enter
    expect_focus("save")
    type :Enter
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Wren"
    expect(page).to have_css("h1", text: "Wren")
    rows = context.store.inspections.of_vehicle(1).first.readings
    expect(rows.map { |row| [row.value, row.unit, row.overall] }).to eq(
      [["0.41", "in", true], ["13", "32nd", true], ["0.1752", "in", false], ["0.1760", "in", false]]
    )
    expect(context.store.inspections.of_vehicle(1).first.odometer_km).to be_within(0.01).of(12_000 * 1.609344)
    expect(page).to have_text(/most likely [\d,]+ mi/)
  end

  it "logs a new set before its readings" do
    add("Car")
    open_inspection("rear")
    type "50000", :Enter, "n", "10", :Enter
    expect(page).to have_text("those of the new pads")
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Wren"
    expect(page).to have_css("h1", text: "Wren")
    expect(context.store.inspections.of_vehicle(1).first.readings.map(&:event)).to eq(%w[fit reading])
    page.visit "/#/vehicles/1"
    expect(page).to have_text("New rear pads fitted; 1 rear pad measured")
  end

  it "keeps typed text while offline and sends it later" do
    add("Car")
    open_inspection("front")
    running = BrowserHelper.application
    BrowserHelper.application = ->(_) { [503, { "content-type" => "text/plain" }, ["away"]] }
    type "61200"
    expect(page).to have_text("Not saved yet: no connection to Graver")
    page.click_button "Save inspection"
    expect(page).to have_text("That didn't work").and have_field("odometer", with: "61200")
    BrowserHelper.application = running
    type :Tab
    page.find_by_id("value-1_left_inner").click
    type "8"
    expect(page).to have_text("Saved as you type")
    expect(context.store.drafts.find(1).content).to include("odometer" => "61200")
  end

  it "shows its keys on a question mark, and starts over" do
    add("Car")
    open_inspection("front")
    type "?"
    expect(page).to have_text("another place on the same part")
    type :Escape
    expect(page).to have_no_text("another place on the same part")
    page.find_by_id("odometer").click
    type "5"
    expect(page).to have_text("Saved as you type")
    page.click_button "Start over"
    expect(page).to have_field("odometer", with: "").and have_text("Started over. Your earlier entries are in the bin")
    expect(context.store.drafts.find(1)).to be_nil
    page.click_button "Undo", match: :first
    expect(page).to have_field("odometer", with: "5")
  end

  it "opens an inspection by keys alone, and leaves letters in fields alone" do
    add("Car")
    page.visit "/#/"
    expect(page).to have_css("article h2", text: "Wren")
    type "1"
    expect(page).to have_css("h1", text: "Wren")
    type "F"
    expect(page).to have_css("h1", text: "Rear inspection")
    page.visit "/#/"
    expect(page).to have_css("article h2")
    type "a"
    page.find_field("Your name for it").click
    type "albatross"
    expect(page).to have_field("Your name for it", with: "albatross")
  end

  it "keeps the first page within its size limit" do
    page.visit "/"
    expect(page).to have_text("Your garage is empty")
    loaded = page.driver.network_traffic.map(&:url).grep(/\.js|\.css/)
    expect(loaded.grep(/Chart/)).to be_empty
    expect(Benchmarks::FirstPage.new.total_bytes).to be <= Benchmarks::FirstPage::AIM_BYTES
  end
end
