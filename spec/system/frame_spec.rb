# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "The frame in the browser", :demo do
  include BrowserHelper

  def bar = page.find("nav[aria-label$='where to go']")

  it "keeps a vehicle's pages at hand and moves to the next vehicle's" do
    page.visit "/#/axles/1/wear"
    expect(bar).to have_css("[aria-current='page']", text: "Front")
    expect(page).to have_title("Juniper: front wear")
    bar.click_link "Next vehicle, Mule"
    expect(page).to have_title("Mule: front wear").and have_css("h1", text: "Front wear")
    expect(bar).to have_link("Jobs in progress", exact: false)
    bar.click_link "Findings"
    expect(page).to have_title("Mule: findings")
    page.click_link "Garage"
    expect(page).to have_no_css("nav[aria-label$='where to go']").and have_title("Garage - Graver")
  end

  it "shows unfinished work in the garage and resumes it by one key" do
    page.visit "/#/"
    expect(page).to have_text("Mule: job in progress.")
    type "g"
    expect(page).to have_css("body.at-the-car")
  end

  it "searches the log of all vehicles, and of one" do
    page.visit "/#/logbook"
    all = page.all("tbody tr", minimum: 12).length
    page.fill_in "Find", with: "wren fluid"
    expect(page).to have_css("tbody tr", count: 1).and have_text("1 entry")
    page.fill_in "Find", with: "submarine"
    expect(page).to have_text("Nothing in the log matches.")
    page.fill_in "Find", with: ""
    page.select "Juniper", from: "Vehicle"
    expect(page.all("tbody tr", minimum: 3).length).to be < all
    page.select "Inspections", from: "What"
    expect(page).to have_no_css("tbody tr.follow_up")
    page.first("tbody a").click
    expect(page).to have_css("h2", text: "Readings")
    bar.click_link "Log"
    expect(page).to have_css("h1", text: "Logbook").and have_link("Import a spreadsheet")
  end

  it "sets the inspection that counts" do
    page.visit "/#/settings"
    page.select "United Kingdom, cars: 1.5\u00A0mm", from: "Inspection that counts"
    type :Enter
    expect(page).to have_text("Below it a car fails the periodic inspection.")
    expect(context.store.preferences.all["approaches"]).to include("inspection" => "uk")
    page.click_link "Approaches"
    expect(page).to have_select("Inspection that counts", selected: "United Kingdom, cars: 1.5 mm (1/16 in)")
  end

  it "keeps a device's appearance whatever its system uses" do
    page.visit "/#/settings"
    page.choose "Dark"
    expect(page).to have_css("html[theme='g100']")
    page.choose "High contrast"
    expect(page).to have_css("html[theme='white'][data-contrast]")
    page.refresh
    expect(page).to have_css("html[data-contrast]").and have_checked_field("High contrast")
    page.choose "Same as the system"
    page.fill_in "A shop's hourly rate", with: "dear"
    type :Tab
    expect(page).to have_css(".fault", text: /Enter a/)
    page.fill_in "A shop's hourly rate", with: "95"
    type :Enter
    expect(page).to have_text("Saved.")
    expect(context.store.preferences.all["money"]).to include("labour_rate" => "95")
  end
end
