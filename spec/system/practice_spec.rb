# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Practice in the browser" do
  include BrowserHelper

  it "marks an answer with the reason, counts, and shows the next" do
    page.visit "/#/practice"
    page.click_link "Read a micrometer"
    expect(page).to have_css("svg[role=img]").and have_button("Check", disabled: true)
    page.fill_in "Your reading", with: "a lot"
    page.click_button "Check"
    expect(page).to have_css(".fault", text: "Enter a number")
    page.fill_in "Your reading", with: "1"
    page.click_button "Check"
    expect(page).to have_css(".marking", text: "Not quite").and have_text("Thimble: line")
    page.fill_in "Your reading", with: page.find(".marking strong").text[/\d+\.\d+/]
    page.click_button "Check"
    expect(page).to have_css(".marking.right", text: "Right.").and have_text("0 of 1 right")
    expect(accessibility_faults).to be_empty
    page.click_button "Next exercise"
    expect(page).to have_no_css(".marking")
    expect(page.current_url).to end_with("/practice/micrometer/2")
    page.click_link "What comes first"
    page.all("button.step").each(&:click)
    page.click_button "Check"
    expect(page).to have_css(".marking")
    expect(accessibility_faults).to be_empty
  end
end
