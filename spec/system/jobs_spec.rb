# frozen_string_literal: true

require_relative "../support/browser_helper"

# A job at the kitchen table: what is missing is settled one by one, and the plan becomes ready.
RSpec.describe "Planning a job", :demo do
  include BrowserHelper

  def part(name) = page.find("section[aria-label='#{name}']")

  it "goes from a draft with gaps to ready, comparing parts" do
    page.visit "/#/jobs/1"
    page.click_button "Mark as ready"
    expect(page).to have_text("still open")
    page.click_button "Cancel"
    page.find("nav.parts a", text: "Parts").click
    part("Abutment clips for the whole axle").click_button "Ask the counter"
    expect(page).to have_text("A simulated parts counter")
    page.first(".offers").click_button "Choose this one", match: :first
    page.within("section[aria-label='To order']") do
      expect(part("Abutment clips for the whole axle")).to have_text("order by")
    end
    part("Rotor").click_button "Details: Rotor"
    part("Rotor").click_button "Enter a part"
    page.fill_in "Name", with: "Other rotor"
    page.fill_in "Diameter (mm)", with: "302"
    page.fill_in "Delivery time (days)", with: "soon"
    page.click_button "Save"
    expect(page).to have_text("Enter a whole number of days")
    page.fill_in "Delivery time (days)", with: "3"
    page.click_button "Save"
    page.choose "Other rotor", allow_label_click: true
    expect(part("Rotor")).to have_text("Differs: diameter 302 mm, the old one's 288 mm")
    page.choose "Rotor, coated", allow_label_click: true
    expect(part("Rotor")).to have_text("Fits: diameter 288 mm")
    page.click_link "Open items"
    expect(page).to have_text("draw off").and have_text("none of your wrenches reaches 28 N·m")
    # All but the gloves are settled elsewhere meanwhile.
    job = context.store.jobs.find(1)
    open =
      Graver::Service::Jobs::JobPlan.new(context).of_job(job).readiness.select(&:open?).map(&:id) -
        ["consumables:gloves"]
    Graver::Service::Jobs::JobChanges.new(context).resolve(1, open, true)
    page.refresh
    page.check "Gloves", allow_label_click: true
    expect(page).to have_css(".facts", text: "nothing")
    page.click_button "Mark as ready"
    expect(page).to have_css("[aria-current=step]", text: "ready")
    page.click_button "Start job"
    expect(page).to have_text("Step 1 of ")
    page.click_link "Leave the steps"
    expect(page).to have_css("[aria-current=step]", text: "in progress").and have_button("Finish job")
    page.visit "/#/vehicles/1/timeline"
    expect(page).to have_text("Front brakes: job in progress")
  end

  it "changes scope and order, and says why it can't" do
    page.visit "/#/jobs/1/scope"
    page.within("section[aria-label='front axle']") { page.choose "stay", allow_label_click: true }
    page.fill_in "Reason for not following the verdict", with: "New ones next spring"
    page.click_button "Confirm"
    expect(page).to have_text("Your reason: New ones next spring").and have_no_text("new rotors")
    page.within("section[aria-label='rear axle']") do
      page.find("summary", text: "Add work on this axle").click
      page.check "New fluid", allow_label_click: true
    end
    expect(page).to have_text("Rear: new fluid")
    page.click_link "Steps"
    page.click_button "Notes and order"
    page.within("[data-step='rear.left.judge']") { page.click_button "Add a step after it" }
    page.fill_in "Your own step", with: "Feel the hub for play"
    page.click_button "Save"
    expect(page).to have_css("li", text: "Feel the hub for play").and have_text("your own step")
    page.within("[data-step='front.left.hook']") { page.click_button "Skip step" }
    expect(page).to have_css("[role=alert]", text: "requires that the hook is ready")
    page.within("[data-step='bed_in']") { page.click_button "Skip step" }
    expect(page).to have_css("h2", text: "Left out by you")
    page.click_link "Money and fluid"
    expect(page).to have_text("Rear right").and have_text("Circuit by circuit")
    page.click_button "Enter a shop's quote"
    page.fill_in "A shop's quote for the same work (€)", with: "640"
    page.click_button "Save quote"
    page.find("summary", text: "missing, so the saving").click
    expect(page).to have_text("€ 640").and have_text("To see the saving, enter the price of").and have_text(
                  "The shop's quote includes them."
                )
  end
end
