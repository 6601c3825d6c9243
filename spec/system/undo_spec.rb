# frozen_string_literal: true

require_relative "../support/browser_helper"

# What was done last is taken back by one bar, whatever it was, there and on the next two screens.
RSpec.describe "Undo", :demo do
  include BrowserHelper

  def bar = page.find(".undo")
  def job = Graver::Service::Jobs::JobPlan.new(context).of_job(context.store.jobs.find(1))

  it "undoes a left-out step, a chosen part and an archived supply" do
    page.visit "/#/jobs/1/steps"
    page.click_button "Notes and order"
    page.within("[data-step='bed_in']") { page.click_button "Skip step" }
    expect(bar).to have_text("Step skipped.")
    expect(page).to have_no_css("[data-step='bed_in']")
    type [:ctrl, "z"]
    expect(page).to have_css("[data-step='bed_in']").and have_no_css(".undo")

    page.visit "/#/jobs/1/parts"
    page.click_button "Details: Set of pads for the whole axle (4 pads)"
    page.choose "Pads, long-life", allow_label_click: true
    expect(bar).to have_text("Pads, long-life chosen.")
    bar.click_button "Undo"
    expect(page).to have_checked_field("Pads, plain", visible: :all)
    page.within("section[aria-label^='Set of pads']") { page.all("button", text: "Archive").last.click }
    expect(bar).to have_text("Pads, long-life archived.")
    expect(page).to have_no_field("Pads, long-life", visible: :all)
    bar.click_button "Undo"
    expect(page).to have_field("Pads, long-life", visible: :all)
  end

  it "returns to the screen of the action, and expires after two screens" do
    page.visit "/#/vehicles/1/timeline"
    page.within("li", text: "Over the passes") { page.click_button "Remove" }
    expect(bar).to have_text("Over the passes, loaded removed.")
    page.click_link "Overview"
    expect(page).to have_button("Archive vehicle")
    bar.click_button "Undo"
    expect(page).to have_css("li", text: "Over the passes").and have_no_css(".undo")

    page.within("li", text: "Over the passes") { page.click_button "Remove" }
    expect(page).to have_css(".undo")
    %w[Overview Log Jobs].each { |place| page.within(".bar") { page.click_link place } }
    expect(page).to have_no_css(".undo")
  end

  it "restores brake data, and leaves text fields their own undo" do
    axle = context.store.vehicles.all.first.id
    value = -> { context.store.brake_data.current(axle)["pad.new_thickness"]&.value }
    before = value.call
    page.visit "/#/axles/#{axle}/brake-data"
    page.find("[id='cell-pad.new_thickness'] button.show").click
    page.fill_in "edit-pad.new_thickness", with: "11.9"
    type [:ctrl, "z"]
    expect(page).to have_no_css(".undo")
    page.fill_in "edit-pad.new_thickness", with: "11.9"
    type :Enter
    expect(bar).to have_text("changed.")
    expect(value.call).not_to eq(before)
    bar.click_button "Undo"
    expect(page).to have_no_css(".undo")
    expect(value.call).to eq(before)
  end
end
