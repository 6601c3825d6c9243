# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Screens of the demo household", :demo do
  include BrowserHelper

  # What each screen has to show first.
  screens = {
    "/#/" => "Every axle, with rotors",
    "/#/timeline" => "What is next",
    "/#/logbook" => "Open an entry to correct it",
    "/#/settings" => "A shop's hourly rate",
    "/#/vehicles/1/jobs" => "Planned and in progress",
    "/#/vehicles/new" => "Add a vehicle",
    "/#/vehicles/1" => "Logbook",
    "/#/vehicles/1/first" => "Parking brake on this axle",
    "/#/axles/1/brake-data" => "Slide pin bolts",
    "/#/vehicles/1/inspection" => "Front left inner pad",
    "/#/workshop" => "Zero is off",
    "/#/vehicles/1/findings" => "Most useful next measurement",
    "/#/inspections/7" => "Readings",
    "/#/vehicles/1/import" => "Choose file",
    "/#/help" => "How often the forecast was right",
    "/#/bin" => "The bin is empty",
    "/#/backups" => "Make backup",
    "/#/vehicles/1/timeline" => "Planned by you",
    "/#/axles/1/wear" => "How earlier forecasts did",
    "/#/axles/3/job-plan" => "A job, as proposed",
    "/#/jobs/2" => "Rear left: strip",
    "/#/jobs/1/scope" => "The rotors",
    "/#/jobs/1/car/front.left.bracket_on" => "Fit the bracket",
    "/#/jobs/2/car" => "Push the piston slowly",
    "/#/approaches" => "When parts are worn out",
    "/#/jobs/1/sheet" => "Job sheet, Letter"
  }

  screens.each do |path, text|
    it "#{path} is accessible, in light and dark, and fits a phone" do
      page.visit path
      expect(page).to have_text(text)
      expect(accessibility_faults).to be_empty
      page.driver.browser.page.command(
        "Emulation.setEmulatedMedia",
        features: [{ name: "prefers-color-scheme", value: "dark" }]
      )
      expect(page).to have_css("html[theme='g100']")
      expect(accessibility_faults(BrowserHelper::COLOURS)).to be_empty
      page.driver.resize(390, 844)
      expect(page).to have_text(text)
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
    end
  end

  it "shows the household's problems" do
    page.visit "/"
    expect(page).to have_text("Brake fluid overdue").and have_text("Job in progress").and have_text(
                  "Job on 23 May 2026"
                )
    expect(page.first("article h2 a").text).to eq("Mule")
  end

  it "asks what if with another limit, and shows another pad" do
    page.visit "/#/axles/1/wear"
    expect(page).to have_css(".chart .left_inner .error")
    before = page.find(".big").text
    page.select "1.6\u00A0mm", from: "Replaced at", exact: false
    expect(page).to have_text("Pads to 1.6 mm").and have_no_css(".big", exact_text: before)
    page.select "all pads", from: "Show"
    expect(page).to have_css(".chart .left_outer .error")
  end

  it "renames, archives and restores a vehicle, and logs a fluid change" do
    page.visit "/#/vehicles/3"
    page.click_button "Edit vehicle"
    page.fill_in "Name", with: " "
    page.click_button "Save"
    expect(page).to have_text("Give it a name.")
    page.fill_in "Name", with: "Old Thistle"
    page.select "miles", from: "Odometer shows"
    page.click_button "Save"
    expect(page).to have_css("h1", text: "Old Thistle").and have_text(/about 102,\d\d\d mi today/)
    page.click_button "Enter a fluid change"
    page.fill_in "Odometer (mi)", with: "9"
    page.fill_in "Date of the change", with: Date.new(2026, 5, 15)
    page.click_button "Save"
    expect(page).to have_text("This is less than the")
    page.fill_in "Odometer (mi)", with: "103000"
    page.click_button "Save"
    expect(page).to have_text("renewed 15 May 2026, due 15 May 2028").and have_text("Fluid renewed")
    page.click_button "Archive vehicle"
    expect(page).to have_text("Old Thistle is archived, so it isn't in the garage.")
    page.click_button "Undo"
    expect(page).to have_button("Archive vehicle").and have_no_text("is archived")
    page.click_button "Archive vehicle"
    page.click_link "Settings"
    page.click_link "Bin"
    page.click_button "Restore Old Thistle"
    expect(page).to have_text("Restored: Old Thistle.")
  end

  def open_cell(key) = page.find("[id='cell-#{key}'] button.show").click

  it "rejects brake data at its field, keeps typed text, and proposes values" do
    page.visit "/#/axles/5/brake-data"
    expect(page).to have_css("summary")
    page.all("summary").each(&:click)
    {
      "wheel_nut.torque" => ["ten", "Enter a number such as 8.4"],
      "rotor.discard_thickness" => ["30", "must be more than discard thickness"],
      "fixed_caliper_bolt.thread" => ["M?", "Write it like M10 x 1.25"],
      "pad.backing_plate" => ["0", "from 1 to 10 mm"]
    }.each do |key, (typed, fault)|
      open_cell(key)
      page.fill_in "edit-#{key}", with: typed
      type :Enter
      expect(page.find("[id='cell-#{key}']")).to have_text(fault)
      expect(page).to have_field("edit-#{key}", with: typed)
    end
    # what was typed is still there when its value is opened again
    open_cell("wheel_nut.torque")
    expect(page).to have_field("edit-wheel_nut.torque", with: "ten")
    page.fill_in "edit-wheel_nut.torque", with: "12"
    type :Enter
    expect(page).to have_text("is the decimal point right?")
    page.refresh
    page.click_button "Suggest typical values"
    page.find("button", text: "Save all").click
    expect(page.find("[id='cell-springs']")).to have_text(/None|One outer spring|Spread/).and have_text("Typical value")
    open_cell("fluid.grade")
    page.click_button "I can't find it"
    expect(page.find("[id='cell-fluid.grade']")).to have_text("can't be found").and have_text(
            "You may buy the wrong fluid"
          )
    page.select "Mule, front", from: "Copy from"
    expect(page).to have_text("There is nothing to copy from there.")
  end

  it "finishes a job only after its mandatory steps" do
    page.visit "/#/jobs/2"
    done = page.find("nav.parts a", text: "Steps").text[%r{(\d+)/}, 1].to_i
    page.click_button "Finish job"
    page.within("form[aria-label='Finish the job']") { page.click_button "Finish job" }
    expect(page).to have_text("Still to be done:")
    # what is open is listed as links to the steps
    page.click_link "Rear left: Push the piston slowly all the way back"
    expect(page).to have_css("[data-step='rear.left.piston_home'] input:focus")
    page.within("form[aria-label='Finish the job']") { page.click_button "Cancel" }
    page.check "Push the piston slowly all the way back", allow_label_click: true, match: :first
    expect(page).to have_link("Steps", text: "#{done + 1}/")
    # a step that waits is refused, and says for what
    page.click_button "All steps on one page"
    page.find("[data-step='rear.lower'] input").click
    expect(page).to have_css("[data-step='rear.lower'] [role=alert]", text: "First do").and have_no_css(
            "[data-step='rear.lower'].done"
          )
  end
end
