# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "The logbook in the browser", :demo do
  include BrowserHelper

  it "finds words as they are typed, by vehicle and kind, and tells sets and costs" do
    page.visit "/#/logbook"
    expect(page).to have_css("tbody tr", minimum: 20)
    page.fill_in "Find", with: "SEIZED freed"
    expect(page).to have_text("1 entry").and have_css("tbody tr", text: "Lower left pin seized")
    page.fill_in "Find", with: "nothing like it"
    expect(page).to have_text("Nothing in the log matches.")
    page.fill_in "Find", with: ""
    page.select "Jobs done", from: "What"
    expect(page).to have_text(/6 entries, €\p{Space}602 spent/)
    page.select "Mule", from: "Vehicle"
    expect(page).to have_text("2 entries").and have_no_css("tbody tr", text: "Juniper")
    page.click_link "Sets"
    expect(page).to have_css("h3", text: "Rear pads", count: 1)
    page.select "All", from: "Vehicle"
    expect(page).to have_css(
      "li",
      text: /Juniper, front pads.*Left inner was thinnest: 3\.9\p{Space}mm of 11\.5.*left slide pins seized/m
    )
    page.click_link "Costs"
    expect(page).to have_css("tr", text: /Juniper.*€\p{Space}158.*Front €\p{Space}129, Rear €\p{Space}29\.50/m)
    expect(accessibility_faults).to be_empty
    page.visit "/#/vehicles/1/log"
    expect(page).to have_css("h2", text: "Sets").and have_css("h3", text: "Front pads")
  end
end
