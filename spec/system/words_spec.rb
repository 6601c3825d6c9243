# frozen_string_literal: true

require_relative "../support/browser_helper"

# British words on every screen once they are chosen; what an owner named, and ids, keep theirs.
RSpec.describe "The household's English", :demo do
  include BrowserHelper

  # Lines with a word that is American, but for what the owner wrote.
  def american
    lines = page.evaluate_script("document.body.innerText").scan(/.*\b(?:rotors?|lug nuts?|jack stands?|tires?)\b.*/i)
    lines.grep_v(/Rotors nearly down|New pads and rotors all round/)
  end

  it "is British everywhere once chosen" do
    page.visit "/#/vehicles/1/findings"
    expect(page).to have_text("One rotor face much worse than the other")
    page.visit "/#/settings"
    page.choose "British: disc", allow_label_click: true
    expect(page).to have_css("html[data-english*='uk']", visible: :all)
    expect(page).to have_checked_field("British: disc", visible: :all)
    {
      "/#/" => "The brake is apart",
      "/#/vehicles/1/findings" => "One disc face much worse than the other",
      "/#/vehicles/1/inspection" => "Front left disc",
      "/#/axles/1/wear" => "Left disc",
      "/#/axles/5/brake-data" => "Verdict on the discs",
      "/#/jobs/1/scope" => "Replace both discs",
      "/#/jobs/1/torque" => "Disc screws",
      "/#/jobs/1/steps" => "Lay the new discs side by side",
      "/#/vehicles/2" => "discs",
      "/#/approaches" => "Faces of a new disc",
      "/#/logbook" => "front discs measured"
    }.each do |path, text|
      page.visit path
      expect(page).to have_text(text)
      expect(american).to be_empty, "#{path}: #{american.first}"
    end
    page.visit "/#/jobs/1/parts"
    expect(page).to have_css("section[aria-label='Disc']", text: "Rotor, coated")
  end

  it "shows and starts new entries in the household's units" do
    page.visit "/#/settings"
    page.within(:fieldset, "Pads") { page.choose "32nds of an inch", allow_label_click: true }
    expect(page).to have_css("html[data-units*='32nd']", visible: :all)
    page.within(:fieldset, "Rotors and other lengths") { page.choose "inches, decimal", allow_label_click: true }
    expect(page).to have_css(%q(html[data-units*='"rotor":"in"']), visible: :all)
    page.choose "lbf·ft", allow_label_click: true
    expect(page).to have_css("html[data-units*='lbf']", visible: :all)
    page.visit "/#/axles/6/brake-data"
    page.all("summary").each(&:click)
    { "pad.new_thickness" => "32nd", "rotor.new_thickness" => "in", "wheel_nut.torque" => "lbf·ft" }.each do |key, unit|
      page.find("[id='cell-#{key}'] button.show").click
      expect(page).to have_css(".edit .line:has([id='edit-#{key}']) select")
      expect(page.find(".edit .line:has([id='edit-#{key}']) select").value).to eq(unit)
      type :Escape
    end
    page.visit "/#/workshop"
    page.click_button "Add a torque wrench"
    expect(page).to have_select(selected: "lbf·ft")
    page.visit "/#/axles/1/wear"
    expect(page).to have_text("Pads to 4/32 in").and have_text("rotor discard 0.906 in")
  end
end
