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
      expect(page).to have_css("article h2 a", text: "Mule")
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
end
