# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Findings in the browser", :demo do
  include BrowserHelper

  it "shows findings with reasons and causes, checks a claim and changes an approach" do
    page.visit "/#/vehicles/1"
    expect(page).to have_css("h1", text: "Juniper")
    type "v"
    expect(page).to have_css("h1", text: "Findings")
    uneven = page.find(".finding", text: "Inner pad much thinner than outer")
    expect(uneven).to have_text("Most likely: slide pins seized or dry")
    expect(uneven).to have_css("summary", text: "One rotor face much worse than the other")
    uneven.first("summary").click
    expect(uneven).to have_text("inner 3.9 mm, outer 6.7 mm").and have_text("What would change it").and have_text(
                  "Remedy: Move it in and out two or three times"
                )
    expect(page.all(".finding .mark").map(&:text)).to eq(
      page.all(".finding .mark").map(&:text).sort_by { |severity| %w[Stop Plan Watch].index(severity) }
    )
    page.click_button "It squeals"
    page.click_button "While rolling; it stops when you brake"
    expect(page).to have_text("That is what a squealer sounds like")
    page.click_button "It grinds"
    expect(page).to have_css(".outcome .mark", text: "Stop").and have_text("have a licensed mechanic look")
    page.find("summary", text: "Check a shop").click
    page.fill_in "Their thickness", with: "never"
    page.click_button "Compare with my readings"
    expect(page).to have_text("Enter a number")
    page.fill_in "Their thickness", with: "2 mm"
    page.select "rear", from: "Axle"
    page.click_button "Compare with my readings"
    expect(page).to have_text("That contradicts your readings: the thinnest, the rear")
    page.find("summary", text: "Limits you chose").click
    page.select "Always new", from: "Rotors with new pads"
    page.visit "/#/vehicles/4/findings"
    expect(page).to have_text("rotor discard thickness unknown, so there is no verdict")
    expect(page).to have_select("Rotors with new pads", selected: "Always new")
  end
end
