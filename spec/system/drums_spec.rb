# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Drums and trailers in the browser" do
  include BrowserHelper

  it "adds a trailer, logs its shoes and drums by keyboard and plans without pedal or fluid" do
    page.visit "/#/vehicles/new"
    page.fill_in "Your name for it", with: "Burdock"
    page.choose "Trailer or caravan", allow_label_click: true
    expect(page).to have_text("enter the distance it has been towed").and have_no_text("Hybrid")
    page.choose "Electric drums", allow_label_click: true
    page.click_button "Add vehicle"
    expect(page).to have_css("[aria-pressed='true']", text: "Drum, electric")
    page.click_link "Start the first inspection"
    expect_focus("odometer")
    type "9000", :Enter
    expect(page).to have_text("New shoes were fitted").and have_text("Magnet")
    expect(page).to have_no_text("Wheel cylinder")
    2.times { type "1.4", :Enter, "3.9", :Enter, "200.4 200.5", :Enter, :Enter }
    expect_focus("save")
    expect(page).to have_text("breakaway cable or switch bad").and have_no_text("soft pedal")
    type :Enter
    expect(page).to have_css("h1", text: "Findings")
    # what was read is believed, though the two differ so much
    expect(page).to have_text("1.4 ± ").and have_no_text("May be at your limit already")
    expect(page).to have_no_css("h2", text: "Fluid")
    page.click_link "Burdock"
    expect(page).to have_css("[aria-label*='primary']").or have_text("primary")
    page.click_link "Plan a job"
    page.click_link "Scope"
    expect(page).to have_text("New brake shoes").and have_text("The drums").and have_no_text("are machined")
  end

  it "shows the drums of the demo's small car in their own words", :demo do
    page.visit "/#/vehicles/5"
    page.within("section[aria-label='rear axle']") do
      expect(page).to have_text("Shoes to your limit").or have_text("Shoes to")
      expect(page).to have_text("drum maximum 205")
    end
    page.visit "/#/vehicles/5/findings"
    expect(page).to have_text("drums may stay").and have_no_text("leading pad")
    # an axle with discs again: what was read of the drums is named, and counts no more
    page.visit "/#/axles/10/brake-data"
    page.find("[id='cell-caliper.kind'] button.show").click
    page.select("Floating, on two slide pins", from: "edit-caliper.kind")
    type(:Enter)
    expect(page).to have_css("[id='cell-caliper.kind'] .value", text: "Floating")
    page.visit "/#/vehicles/5"
    expect(page).to have_text("This axle has disc brakes now.", minimum: 1)
  end
end
