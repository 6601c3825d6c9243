# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "The timeline in the browser", :demo do
  include BrowserHelper

  it "plans, removes and restores a trip" do
    page.visit "/#/vehicles/1"
    expect(page).to have_css("h1", text: "Juniper")
    type "r"
    expect(page).to have_css("h1", text: "Timeline").and have_text("New pads:")
    page.fill_in "Name", with: "To the sea"
    page.fill_in "From", with: Date.new(2026, 7, 1)
    page.fill_in "To", with: Date.new(2026, 6, 1)
    page.fill_in "Distance (km)", with: "far"
    page.within("form", text: "Wear factor") { page.click_button "Save" }
    expect(page).to have_text("Enter an end on or after the day the trip starts").and have_text(/Enter a number/)
    expect(page).to have_field("Name", with: "To the sea")
    page.fill_in "To", with: Date.new(2026, 7, 14)
    page.fill_in "Distance (km)", with: "1800"
    page.within("form", text: "Wear factor") { page.click_button "Save" }
    expect(page).to have_css("svg text", text: "To the sea").and have_text("1 Jul 2026 to 14 Jul 2026, 1800 km")
    page.within(".planned li", text: "To the sea") { page.click_button "Remove" }
    expect(page).to have_no_css("svg text", text: "To the sea")
    page.click_button "Undo"
    expect(page).to have_css("svg text", text: "To the sea")
  end

  it "drags a trip, moves it and undoes the move" do
    page.visit "/#/vehicles/1/timeline"
    handle = page.find(".handle")
    box =
      page.evaluate_script(
        "(({ x, y, width, height }) => [x + width / 2, y + height / 2])(arguments[0].getBoundingClientRect())",
        handle
      )
    mouse = page.driver.browser.mouse
    mouse.move(x: box[0], y: box[1]).down
    mouse.move(x: box[0] + 40, y: box[1]).move(x: box[0] + 120, y: box[1]).up
    expect(page).to have_css("form[aria-label='Other days?'] li", text: /chance of being at the limit by its end/)
    before = page.find(".planned li", text: "Over the passes").text
    page.click_button "Move trip"
    expect(page).to have_no_css("form[aria-label='Other days?']")
    expect(page).to have_no_css(".planned li", text: before)
    page.click_button "Undo"
    expect(page).to have_css(".planned li", text: before)
    # by keyboard: a day for the same, refused where it cannot be
    page.within(".planned li", text: "Over the passes") { page.click_button "Other days?" }
    page.fill_in "Over the passes, loaded starts", with: Date.new(2020, 1, 1)
    expect(page).to have_text("Enter a day that is still to come.")
    page.fill_in "Over the passes, loaded starts", with: Date.new(2026, 12, 1)
    expect(page).to have_text("1 Dec 2026 to 14 Dec 2026")
  end

  it "shows the risk by date with a slider and by dragging" do
    page.visit "/#/vehicles/1/timeline"
    slider = page.find_field("Look ahead")
    page.execute_script("arguments[0].focus()", slider)
    type :Right, :Right
    expect(page).to have_text("13 Jun 2026, about").and have_text(/Front pads\s*\d+ % chance of being at the limit/)
    expect(slider["aria-valuetext"]).to start_with("13 Jun 2026")
    box =
      page.evaluate_script(
        "(({ x, y, width, height }) => [x, y, width, height])(document.querySelector('rect.reach').getBoundingClientRect())"
      )
    mouse = page.driver.browser.mouse
    mouse.move(x: box[0] + 5, y: box[1] + 30).down
    mouse.move(x: box[0] + (box[2] / 2), y: box[1] + 30).up
    expect(page).to have_text(/Front pads\s*over 99 % chance of being at the limit/).and have_text(
            "By then: front brakes: job planned"
          )
  end

  it "changes the session rule, and questions a runaway odometer" do
    page.visit "/#/vehicles/4/timeline"
    expect(page).to have_css(".sessions li", count: 2)
    page.click_link "Change delivery time"
    page.fill_in "Combine jobs closer than (km;", with: "lots"
    page.fill_in "Combine jobs closer than (days)", with: "365"
    page.select "A chore", from: "Taking the wheels off is"
    type :Enter
    expect(page).to have_css(".fault", text: "Enter a number from 0 to")
    page.fill_in "Combine jobs closer than (km;", with: "9000"
    type :Enter
    expect(page).to have_text("Saved.")
    page.go_back
    expect(page).to have_css(".sessions li", count: 1, text: "front and rear")
    page.fill_in "Odometer (km)", with: "99000"
    page.within("form", text: "Odometer (km)") { page.click_button "Save" }
    expect(page).to have_button("Save it: it is right")
    page.fill_in "Odometer (km)", with: "31900"
    page.within("form", text: "Odometer (km)") { page.click_button "Save" }
    expect(page).to have_field("Odometer (km)", with: "")
  end

  it "answers what-ifs as typed, with the next measurement and earlier forecasts" do
    page.visit "/#/axles/1/wear"
    expect(page).to have_css(".answer .words", count: 1)
    page.select "× 1.9 Mostly town", from: "Used for"
    page.fill_in "Driven per year (km)", with: "40000"
    expect(page).to have_css(".answer .words", count: 2).and have_text(
            "Assuming: 40000 km a year (your figure); Mostly town: wear factor 1.9"
          )
    page.fill_in "Driven per year (km)", with: "lots"
    expect(page).to have_text(/Enter a number/)
    expect(page).to have_text("Measure the left inner pad with a caliper").and have_text(
            "calculated later"
          ).and have_text(/Right so far|No forecast in your garage/)
  end

  it "keeps torque wrenches and shows their settings, with a crow-foot too" do
    page.visit "/#/workshop"
    page.click_button "Add a torque wrench"
    page.fill_in "From", with: "50"
    page.fill_in "To", with: "10"
    page.click_button "Add wrench"
    expect(page).to have_text("Name: Give it a name.")
    page.fill_in "Your name for it", with: "Short one"
    page.fill_in "From", with: "5"
    page.fill_in "To", with: "50"
    page.fill_in "Smallest step", with: "0.5"
    page.fill_in "Length, drive to grip (mm)", with: "300"
    page.fill_in "Last calibrated", with: Date.new(2026, 3, 1)
    page.click_button "Add wrench"
    expect(page).to have_css("tr", text: "Short one")
    page.visit "/#/axles/1/job-plan/torque"
    expect(page).to have_css(".set", text: "Set 28 N·m on Short one").and have_css(
            ".set",
            text: "Set 120 N·m on Long click wrench"
          )
    page.fill_in "Crow-foot or offset in line with the handle (mm)", with: "30"
    # 28 x 300 / 330 = 25.45, on a scale of halves
    expect(page).to have_css(".set", text: "Set 25.5 N·m on Short one with the 30 mm extension")
  end
end
