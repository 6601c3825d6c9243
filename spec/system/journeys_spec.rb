# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Journeys in the browser" do
  include BrowserHelper

  def add_vehicle
    page.visit "/"
    page.click_link "Add a vehicle", match: :first
    page.fill_in "Your name for it", with: "Juniper"
    page.click_button "Add vehicle"
    page.within("section[aria-label='rear axle']") { page.click_button "Floating, on two slide pins" }
    expect(page).to have_css("[aria-pressed='true']", count: 1).and have_link("Start the first inspection")
    page.click_link "Juniper"
    expect(page).to have_css("h1", text: "Juniper")
  end

  # Opens a value and keeps another.
  def know(key, value)
    page.find("[id='cell-#{key}'] button.show").click
    expect_focus("edit-#{key}")
    if page.has_css?("select[id='edit-#{key}']", wait: 0.2)
      page.select(value, from: "edit-#{key}")
      type(:Enter)
    else
      type(value, :Enter)
    end
    expect(page).to have_css("[id='cell-#{key}']:not(.unknown) .value", text: value)
  end

  def open_inspection
    page.click_link "Inspect the front"
    expect(page).to have_css("h1", text: "Front inspection")
    expect_focus("odometer")
  end

  it "goes from a new vehicle to a printed job, the inspection by keyboard alone" do
    add_vehicle
    page.within("section[aria-label='front axle']") { page.click_link "Brake data" }
    expect(page).to have_text("Which bolts there are depends on the caliper kind")
    know("pad.new_thickness", "11")
    know("rotor.discard_thickness", "22")
    know("caliper.kind", "Floating, on two slide pins")
    know("slide_pin_bolt.torque", "28")
    know("wheel_nut.torque", "120")
    know("wheel_nut.count", "5")

    page.click_link "Juniper"
    open_inspection
    type "61200", :Enter
    %w[7.8 8,1].each { |value| type value, :Enter }
    %w[23.91 23.90].each { |value| type value, :Enter }
    expect(page).to have_text("varies by 0.010 mm")
    type :Enter
    expect_focus("value-1_right_inner")
    expect(page).to have_css("h2", text: "Front right")
    type "g", "7", :Enter, "8", :Enter
    expect_focus("value-1_right_outer")
    expect(page).to have_text("between 7.0 and 8.0 mm")
    expect(page).to have_css("svg[aria-label*='inner pad 7.8\u00A0mm, outer pad 8.1\u00A0mm']")
    type "8", :Enter, :Enter, "23.95", :Enter, :Enter
    expect_focus("save")
    type :Enter

    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Juniper"
    expect(page).to have_css("h1", text: "Juniper")
    page.click_link "Wear", match: :first
    expect(page).to have_text(/Most likely [\d,]+ km/).and have_text(/Inspect within [\d,]+ km/)
    expect(page).to have_css(".chart .interval", minimum: 1)
    page.click_link "Plan a job", match: :first
    # sound pads ask for nothing but a look; the owner renews them all the same
    expect(page).to have_text("inspect, wheels off")
    page.fill_in "Date (optional)", with: Date.new(2026, 5, 23)
    page.click_button "Plan this job"
    expect(page).to have_text("23 May 2026").and have_css("[aria-current=step]", text: "draft")
    page.click_link "Scope"
    page.within("section[aria-label='front axle']") do
      page.find("summary", text: "more").click
      page.check "New pads", allow_label_click: true
    end
    expect(page).to have_text("Front: new pads")
    page.click_link "Torque"
    expect(page).to have_text("28N·m").and have_text("20.7lbf·ft")
    page.click_link "Steps"
    page.click_button "All steps on one page"
    expect(page).to have_text("Don't move the vehicle until the pedal is firm")
    page.check "Clear the open items. Read the manufacturer's manual for this axle.", allow_label_click: true
    expect(page).to have_link("Steps", text: %r{1/\d+})
    page.driver.browser.page.command("Emulation.setEmulatedMedia", media: "print")
    expect(page).to have_text("Before anything is undone").and have_no_button("Mark as ready")
    expect(page.evaluate_script("getComputedStyle(document.querySelector('header')).display")).to eq("none")
    expect(requested_hosts).to eq(["127.0.0.1"])
  end

  it "questions and rejects bad input at its field, and loses nothing on reload" do
    add_vehicle
    axle = context.store.vehicles.all.first.axles.first.id
    Graver::Service::Household::RecordBrakeData.new(context).call(
      axle,
      [{ key: "pad.new_thickness", value: "11", unit: "mm", source: "manual" }]
    )
    earlier = {
      axle:,
      part: "pad",
      side: "left",
      pad: "inner",
      event: "reading",
      method: "caliper",
      unit: "mm",
      values: ["9"]
    }
    Graver::Service::Measuring::LogInspection.new(context).call(
      1,
      { date: "2026-01-10", odometer: { value: "60000" }, readings: [earlier] }
    )
    page.refresh
    open_inspection
    page.click_button "Save inspection"
    expect(page).to have_text("Enter a number, for example 7.5.").and have_text("Enter a reading or a mark first.")

    page.find_by_id("odometer").click
    type "59000", :Enter, "hh", :Enter, "13,6", :Enter, "12..5", :Enter
    expect(page).to have_text("This is less than the 60000 km logged on 10 Jan 2026").and have_text(
            "Enter a number such as 8.4"
          ).and have_text("Was the plate included?")
    page.click_button "Save inspection"
    expect(page).to have_text("Not saved yet: correct the fields marked above. Nothing is lost.")
    expect(page).to have_text("Saved as you type")

    page.refresh
    expect(page).to have_field("odometer", with: "59000").and have_field("value-1_left_inner", with: "hh")
    expect(page).to have_field("value-1_left_outer", with: "13,6").and have_button("Remove place 1: 12..5")
    page.fill_in "odometer", with: "61200"
    page.fill_in "value-1_left_inner", with: "8.6"
    page.click_button "Remove place 1: 12..5"
    expect(page).to have_text("Was the plate included?")
    page.find_by_id("value-1_left_outer").click
    type "k"
    expect(page).to have_text("Saved as doubtful")
    # another value is asked about anew
    page.fill_in "value-1_left_outer", with: "13,7"
    expect(page).to have_text("Was the plate included?")
    page.find_by_id("value-1_left_outer").click
    type "k"
    expect(page).to have_text("Saved as doubtful")
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    page.click_link "Juniper"
    expect(page).to have_css("h1", text: "Juniper")
    rows = context.store.inspections.of_vehicle(1).last.readings
    expect(rows.map(&:doubt)).to match([nil, /more friction material than/])
    expect(rows.last.flags.map { |doubt| [doubt.value, doubt.answer] }).to eq([%w[13,6 again], %w[13,7 keep]])
  end

  it "shows a missing page" do
    page.visit "/#/vehicles/99"
    expect(page).to have_text("There is no vehicle at this address")
    page.visit "/#/somewhere"
    expect(page).to have_text("Nothing at this address")
  end

  it "keeps two windows on one inspection from overwriting each other" do
    add_vehicle
    open_inspection
    type "61200"
    expect(page).to have_text("Saved as you type")
    draft = context.store.drafts.find(1)
    context.store.drafts.save(1, draft.content.merge("odometer" => "61234"), revision: draft.revision, at: "elsewhere")
    type :Enter, "8"
    expect(page).to have_css("h2", text: "This inspection was continued in another window").and have_css(
            "tr",
            text: /Odometer\s+61200\s+61234/
          )
    page.click_button "Use the other window's version"
    expect(page).to have_field("odometer", with: "61234").and have_text("Using the other window's version")
    page.click_button "Undo", match: :first
    expect(page).to have_field("odometer", with: "61200").and have_field("value-1_left_inner", with: "8")
    expect(page).to have_text("Saved as you type")
    # the other window saves it: this one's save is not taken for its own
    context.store.drafts.remove(1)
    page.click_button "Save inspection"
    expect(page).to have_css("h2", text: "This inspection was saved in another window")
    expect(context.store.inspections.of_vehicle(1)).to be_empty
    page.click_button "Discard these entries"
    expect(page).to have_css("h1", text: "Juniper")
    page.visit "/#/bin"
    page.click_button "Restore inspection"
    expect(page).to have_text("Restored: inspection of Juniper.")
    expect(context.store.drafts.find(1).content["odometer"]).to eq("61200")
  end

  it "asks which version to keep when another window was faster" do
    add_vehicle
    rename =
      lambda do |elsewhere, here, choice|
        page.click_button "Edit vehicle"
        context.store.vehicles.change(1, name: elsewhere)
        page.fill_in "Name", with: here
        page.click_button "Save"
        page.within("[role=dialog]") { page.click_button choice }
        expect(page).to have_no_css("[role=dialog]")
      end
    rename.call("Mule", "Donkey", "Save my version")
    expect(page).to have_css("h1", text: "Donkey")
    rename.call("Mule", "Ass", "Use the other version")
    expect(page).to have_css("h1", text: "Mule")
    expect(context.store.vehicles.find(1).name).to eq("Mule")
  end
end
