# frozen_string_literal: true

require_relative "../support/browser_helper"

# The brake in three dimensions, where people look instead of reading.
RSpec.describe "The drawn brake", :demo do
  include BrowserHelper

  # Where nothing moves by itself.
  before do
    still = [{ name: "prefers-reduced-motion", value: "reduce" }]
    page.driver.browser.page.command("Emulation.setEmulatedMedia", features: still)
  end

  # The outline of its largest shape; small ones are drawn plainly while it turns.
  def outline
    paths = "[...document.querySelectorAll('[data-part=caliper] path:not(.edge)')].map(path => path.getAttribute('d'))"
    page.evaluate_script(paths).max_by(&:length)
  end

  # In one go, as shapes are put in anew whenever it turns.
  def press(part)
    shape = "document.querySelector('.brake-drawing [data-part=#{part}] path')"
    page.execute_script("#{shape}.dispatchEvent(new MouseEvent('click', { bubbles: true }))")
  end

  it "shows a step's part in colour at the car, its bolt with its size, and turns by the keys" do
    page.driver.resize(390, 844)
    page.visit "/#/jobs/2/car/#{ERB::Util.url_encode("rear.right.pin_bolts_out")}"
    expect(page).to have_css(".brake-drawing .now[data-part=caliper]").and have_css(".brake-drawing .arrow")
    expect(page).to have_css(".brake-drawing text", text: "Slide pin bolts")
    expect(page).to have_css(".brake-drawing text", text: "Hex head 14 mm")
    expect(page).to have_css("[role=application][aria-label*='Rear right brake, drawn: Caliper']")
    expect(page).to have_no_css(".brake-drawing [data-part=wheel]")
    before = outline
    # a click to focus it would press a part
    page.execute_script("document.querySelector('[role=application]').focus()")
    type :right
    expect(page).to have_css(".brake-drawing [data-part=caliper]")
    expect(outline).not_to eq(before)
    page.click_button "Turn it round"
    expect(page).to have_css(".brake-drawing text", text: "Seen from inside")
    press("bracket")
    expect(page).to have_css(".picked", text: "Caliper bracket").and have_css(".now[data-part=bracket]")
    expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
  end

  it "stays when the server is out of reach, and goes on to the next step's part" do
    page.visit "/#/jobs/2/car/#{ERB::Util.url_encode("rear.right.pads_out")}"
    expect(page).to have_css(".now[data-part=inner_pad]")
    unreachable(%r{/api/v1/}) do
      page.find("aside button", text: "Take any old clips off", match: :first).click
      expect(page).to have_css(".now[data-part=bracket]")
    end
  end

  it "opens a part's data by a press on it, and draws it whole once it is known" do
    page.visit "/#/axles/1/brake-data"
    expect(page).to have_css(".unknown[data-part=bracket]").and have_no_css(".unknown[data-part=caliper]")
    page.within("p.gaps") { page.click_button "Caliper bracket" }
    page.select "Its own, off for the rotor", from: "Caliper bracket"
    page.find("h1").click
    expect(page).to have_css("[data-part=bracket]").and have_no_css(".unknown[data-part=bracket]")
  end

  it "plays the job, names what comes off in the scope, and shows where a finding is" do
    page.visit "/#/jobs/2/steps"
    expect(page).to have_text(/Picture \d+ of \d+/).and have_css(".now[data-part=piston]")
    page.click_button "Play the job"
    expect(page).to have_css(".now[data-part=inner_pad]", wait: 6)
    page.visit "/#/jobs/1/scope"
    expect(page).to have_css("summary", text: "What has to come off: wheel, lug nuts, rotor")
    page.visit "/#/vehicles/1/findings"
    page.find("summary", text: "Slide pins: seized").click
    expect(page).to have_css(".now[data-part=slide_pin]")
  end

  it "asks for a part in practice" do
    page.visit "/#/practice/part/4"
    expect(page).to have_css(".brake-drawing .now").and have_no_css(".brake-drawing text", text: /caliper/i)
    page.visit "/#/help"
    page.first("summary", text: "Show it on a brake").click
    expect(page).to have_css(".brake-drawing .now")
  end
end
