# frozen_string_literal: true

require "fileutils"
require "support/browser_helper"

# Drives the demo household through its screens and keeps one picture of each.
class Screenshooter
  DESK = [1280, 800].freeze
  PHONE = [390, 844].freeze

  # name => [address, text to wait for, size, theme]
  PICTURES = {
    "garage" => ["/#/", "The road ahead", DESK, "light"],
    "garage-dark" => ["/#/", "The road ahead", DESK, "dark"],
    "vehicle" => ["/#/vehicles/1", "Logbook", DESK, "light"],
    "brake-data" => ["/#/axles/5/brake-data", "Caliper kind", DESK, "light"],
    "walk-round" => ["/#/axles/1/look-over", "Left inner pad", DESK, "light"],
    "walk-round-phone" => ["/#/axles/1/look-over", "Left inner pad", PHONE, "light"],
    "wear" => ["/#/axles/1/wear", "Why it says so", DESK, "light"],
    "job-card" => ["/#/axles/1/job-card", "Steps", DESK, "light"],
    "job-phone" => ["/#/jobs/2", "Under way", PHONE, "light"]
  }.freeze

  def initialize(folder)
    @folder = folder
  end

  def take_all
    FileUtils.mkdir_p(@folder)
    context = Graver::Boot.context("GRAVER_DATABASE" => DemoFile.path, "GRAVER_TODAY" => BrowserHelper::TODAY)
    PICTURES.each { |name, picture| take(name, *picture, Graver::Boot.rack(context)) }
    context.store.close
  end

  private

  def take(name, address, text, size, theme, rack)
    session = Capybara::Session.new(:chromium, rack)
    page = session.driver.browser.page
    page.command("Emulation.setEmulatedMedia", features: [{ name: "prefers-color-scheme", value: theme }])
    page.command("Emulation.setDeviceMetricsOverride", width: size[0], height: size[1], deviceScaleFactor: 1, mobile: size == PHONE)
    session.visit(address)
    session.assert_text(text)
    walk(session) if name == "walk-round"
    session.find_by_id("value-right_outer").click if name == "walk-round-phone"
    scroll_to_steps(session) if name == "job-phone"
    settle(session)
    # What is on the screen, wherever it was scrolled to.
    picture = page.command("Page.captureScreenshot", format: "png").fetch("data")
    File.binwrite(File.join(@folder, "#{name}.png"), picture.unpack1("m"))
    puts "#{name}.png"
  ensure
    session&.driver&.quit
  end

  # Half an inspection: one side read, one reading questioned. Kept as a draft, so that the phone goes on with it.
  def walk(session)
    keyboard = session.driver.browser.keyboard
    session.find_by_id("odometer").click
    ["101250", "3.6", "6.5", "23.79", "", "5.4", "11.2"].each { |value| keyboard.type(*[value, :Enter].reject { |key| key == "" }) }
    session.find_by_id("value-right_outer").click
    session.assert_text("Keep it with a doubt")
  end

  def scroll_to_steps(session)
    session.execute_script("document.querySelector('.done:has(+ :not(.done))').scrollIntoView({ block: 'start' })")
  end

  def settle(session)
    session.driver.wait_for_network_idle
    sleep 0.8
  end
end
