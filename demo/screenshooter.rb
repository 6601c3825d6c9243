# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require "support/browser_helper"

# Drives the demo household through its screens and keeps one picture of each.
class Screenshooter
  DESK = [1280, 800].freeze
  PHONE = [390, 844].freeze

  # name => [address, text to wait for, size, theme]
  PICTURES = {
    "garage" => ["/#/", "Every axle", DESK, "light"],
    "vehicle" => ["/#/vehicles/5", "Logbook", DESK, "light"],
    "brake-data" => ["/#/axles/1/brake-data", "Brake kind", DESK, "light"],
    "inspection" => ["/#/vehicles/1/inspection", "Front left inner pad", DESK, "light"],
    "inspection-phone" => ["/#/vehicles/1/inspection", "Front right inner pad", PHONE, "light"],
    "inspection-large" => ["/#/vehicles/3/inspection", "Front left inner pad", DESK, "dark"],
    "findings" => ["/#/vehicles/1/findings", "Most useful next measurement", DESK, "light"],
    "workshop" => ["/#/workshop", "Zero is off", DESK, "light"],
    "import" => ["/#/vehicles/3/import", "Choose file", DESK, "light"],
    "wear" => ["/#/axles/1/wear", "Why it says so", DESK, "light"],
    "timeline" => ["/#/vehicles/1/timeline", "Planned by you", DESK, "light"],
    "job-ready" => ["/#/jobs/1", "Open items", DESK, "light"],
    "job-scope" => ["/#/jobs/2/scope", "In the same session", DESK, "light"],
    "job-parts" => ["/#/jobs/1/parts", "Set of pads", DESK, "dark"],
    "torque" => ["/#/jobs/1/torque", "Lug nuts", DESK, "light"],
    "job-steps" => ["/#/jobs/2/steps", "Play the job", DESK, "light"],
    "at-the-car" => ["/#/jobs/2/car/rear.right.pin_bolts_out", "Hang the caliper on the hook", PHONE, "light"],
    # what changes the log or a job comes last: the others show it as it was
    "logged-inspection" => ["/#/inspections/8", "Readings", DESK, "light"],
    "logbook" => ["/#/logbook", "Open an entry", DESK, "light"]
  }.freeze

  # What is done before a picture is taken.
  PREPARED = {
    "inspection" => :walk,
    "inspection-phone" => :walk_on,
    "inspection-large" => :enlarge,
    "import" => :upload,
    "logged-inspection" => :correct
  }.freeze

  def initialize(folder)
    @folder = folder
  end

  def take_all
    FileUtils.mkdir_p(@folder)
    context =
      Graver::Boot.context(
        {
          "GRAVER_DATABASE" => DemoFile.path,
          "GRAVER_TODAY" => BrowserHelper::TODAY,
          "GRAVER_SIMULATED_DEVICES" => DemoFile::HOUSEHOLD
        }
      )
    PICTURES.each { |name, picture| take(name, *picture, Graver::Boot.rack(context)) }
    context.store.close
  end

  private

  def take(name, address, text, size, theme, rack)
    session = Capybara::Session.new(:chromium, rack)
    page = session.driver.browser.page
    media = { "prefers-color-scheme" => theme, "prefers-reduced-motion" => "reduce" }
    page.command("Emulation.setEmulatedMedia", features: media.map { |name, value| { name:, value: } })
    page.command(
      "Emulation.setDeviceMetricsOverride",
      width: size[0],
      height: size[1],
      deviceScaleFactor: 1,
      mobile: size == PHONE
    )
    session.visit(address)
    session.assert_text(text)
    PREPARED[name]&.then { |how| send(how, session) }
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
    session.find_by_id("odometer").click
    type(session, "101250", "3.6", "6.5", "23.79", "", "5.4", "11.2")
    session.assert_text("Save as doubtful")
  end

  def walk_on(session)
    session.click_button("Front right: 2 of 3 read, one questioned")
    session.find_by_id("value-1_right_outer").click
    session.assert_text("Save as doubtful")
  end

  def enlarge(session)
    session.find_by_id("odometer").click
    type(session, "163200")
    session.click_button("One at a time")
    session.driver.browser.keyboard.type("10.3")
    session.assert_text("10.3 mm, ±")
  end

  # One of each is thrown away: what this leaves is shown last of all.
  def upload(session)
    Dir.mktmpdir do |folder|
      path = File.join(folder, "workshop notes.csv")
      File.write(
        path,
        [
          "Day;km;FL inner;FL outer;FR inner;FR outer;FL rotor;remarks",
          "12.04.2022;141.100;7,8;8,4;7,9;8,1;24,10;before the holiday",
          "31.02.2023;143000;7;7;7;7;;",
          "03.10.2022;142400;7,1;abc;7,3;7,6;;"
        ].join("\n")
      )
      session.attach_file("Choose file", path)
      session.assert_text("readings from 2 services")
    end
  end

  def correct(session)
    session.click_button("Change front left outer pad")
    session.fill_in("Value", with: "6.5")
    session.fill_in("Reason", with: "the jaws were on the shim")
    session.click_button("Save")
    session.assert_text("entered as 6.7")
    session.click_button("Change front right outer pad")
  end

  def type(session, *values)
    values.each { |value| session.driver.browser.keyboard.type(*[value, :Enter].reject { |key| key == "" }) }
  end

  def settle(session)
    session.driver.wait_for_network_idle
    sleep 0.8
  end
end
