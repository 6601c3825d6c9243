# frozen_string_literal: true

require_relative "../support/browser_helper"

# A phone of the household's network, and the machine Graver runs on.
RSpec.describe "Phone access in the browser", :demo do
  include BrowserHelper

  let(:lan) { Graver::API::Network.new(address: "192.168.7.20", port: 8321, https: false, fingerprint: nil) }
  let(:application) { Graver::Boot.rack(context, lan) }
  let(:access) { Graver::Service::Household::PhoneAccess.new(context.for_request) }

  # What the block does comes from the network.
  def as_phone
    running = BrowserHelper.application
    BrowserHelper.application = ->(env) { application.call(env.merge("REMOTE_ADDR" => "192.168.7.33")) }
    page.driver.resize(390, 844)
    yield
  ensure
    BrowserHelper.application = running
    page.driver.resize(1280, 800)
  end

  it "sets the passphrase, shows a code to scan, and signs a device out, on this machine" do
    running = BrowserHelper.application
    BrowserHelper.application = application
    page.visit "/#/settings"
    page.click_link "Phone access"
    expect(page).to have_field("Allow phones on this network", exact: false, disabled: true)
    page.fill_in "Set a passphrase", with: "short", exact: false
    page.click_button "Save passphrase"
    expect(page).to have_css(".fault", text: "Use 10 to 64 characters")
    page.fill_in "Set a passphrase", with: "four wet brown otters", exact: false
    page.click_button "Save passphrase"
    expect(page).to have_text("Every device must sign in again")
    page.click_button "Pair a phone"
    expect(page).to have_css("svg[aria-label='Code to scan'] path").and have_text("http://192.168.7.20:8321/#/pair/")
    access.sign_in(passphrase: "four wet brown otters", device: "Phone in the drawer")
    page.refresh
    expect(page).to have_text("Phone in the drawer")
    page.click_button "Sign out"
    expect(page).to have_text("None.")
    expect(accessibility_faults).to be_empty
  ensure
    BrowserHelper.application = running
  end

  it "asks for the passphrase first, then shows the page" do
    access.passphrase = "four wet brown otters"
    as_phone do
      page.visit "/#/jobs/2/car"
      expect(page).to have_css("h1", text: "Sign in").and have_no_text("Push the piston")
      page.fill_in "Passphrase", with: "four wet brown cats"
      page.click_button "Sign in"
      expect(page).to have_css(".fault", text: "Wrong passphrase")
      expect(accessibility_faults).to be_empty
      page.fill_in "Passphrase", with: "four wet brown otters"
      page.click_button "Sign in"
      expect(page).to have_css(".line", text: "Push the piston slowly")
      page.click_button "Done"
      expect(page).to have_css(".line", text: "Put on clean gloves")
    end
  end

  it "pairs by a code once" do
    access.passphrase = "four wet brown otters"
    code = access.pairing
    as_phone do
      page.visit "/#/pair/#{code}"
      expect(page).to have_css("h1", text: "Paired")
      page.fill_in "Your name", with: "Tomas"
      page.click_button "Save name"
      expect(page).to have_css("article h2 a", text: "Mule")
      expect(access.sessions.map(&:person)).to eq(["Tomas"])
      page.driver.clear_cookies
      page.visit "/#/pair/#{code}x"
      expect(page).to have_css(".fault", text: "the code has been used or has expired")
      # scanned while the sign-in stands in front
      page.visit "/#/workshop"
      expect(page).to have_css("h1", text: "Sign in")
      page.execute_script("location.hash = '#/pair/#{access.pairing}'")
      expect(page).to have_css("article h2 a", text: "Mule")
    end
  end

  # Two phones in one job: each sees what the other has done, and who did it.
  it "tells what somebody else has ticked in the same job meanwhile" do
    access.passphrase = "four wet brown otters"
    code = access.pairing
    as_phone do
      page.visit "/#/pair/#{code}"
      page.fill_in "Your name", with: "Tomas"
      page.click_button "Save name"
      expect(page).to have_css("article h2 a", text: "Mule")
      page.visit "/#/jobs/2/car"
      expect(page).to have_css(".line", text: "Push the piston slowly")
      Graver::Service::Jobs::JobTicks.new(context.for_request.as("Nora")).tick(2, ["rear.left.piston_home"], true)
      expect(page).to have_css("[role=status]", text: "Nora has done: Push the piston", wait: 10)
      expect(page).to have_css(".line.done", text: "Push the piston").and have_text("Done by Nora")
      page.click_button "Next"
      expect(page).to have_css(".line", text: "Put on clean gloves").and have_no_text("Nora has done")
      page.click_button "Done"
      page.click_button "Back"
      expect(page).to have_text("Done by Tomas")
    end
  end

  it "lets a guest look and change nothing" do
    access.passphrase = "four wet brown otters"
    code = access.pairing(guest: true)
    as_phone do
      page.visit "/#/pair/#{code}"
      expect(page).to have_text("You are a guest on this device")
      page.visit "/#/vehicles/1"
      expect(page).to have_css("h1", text: "Juniper").and have_no_link("Start an inspection")
      page.visit "/#/jobs/2/car"
      expect(page).to have_text("Guest: look only").and have_no_button("Done")
      page.click_button "Next"
      expect(page).to have_css(".line", text: "Put on clean gloves")
      page.visit "/#/logbook"
      expect(page).to have_css("h1", text: "Logbook")
      expect(accessibility_faults).to be_empty
      page.visit "/#/vehicles/1/inspection"
      expect(page).to have_text("This page is for entering things")
    end
  end
end
