# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Screens of the demo household", :demo do
  include BrowserHelper

  # What each screen has to show first.
  screens = {
    "/#/" => "The road ahead", "/#/vehicles/new" => "Add a vehicle", "/#/vehicles/1" => "Logbook", "/#/axles/1/brake-data" => "Slide pin bolts: torque",
    "/#/axles/1/look-over" => "Left inner pad", "/#/axles/1/wear" => "Why it says so", "/#/axles/4/job-card" => "Steps", "/#/jobs/2" => "Under way"
  }

  screens.each do |path, text|
    it "#{path} is accessible, in light and dark, and fits a phone" do
      page.visit path
      expect(page).to have_text(text)
      expect(accessibility_faults).to be_empty
      page.driver.browser.page.command("Emulation.setEmulatedMedia", features: [{ name: "prefers-color-scheme", value: "dark" }])
      expect(page).to have_css("html[theme='g100']")
      expect(accessibility_faults).to be_empty
      page.driver.resize(390, 844)
      expect(page).to have_text(text)
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
    end
  end

  it "shows the household's troubles where they are" do
    page.visit "/"
    expect(page).to have_text("Brake fluid overdue").and have_text("Job under way").and have_text("Job on 23 May 2026")
    expect(page.all("article h2").map(&:text).first).to eq("Mule")
  end
end
