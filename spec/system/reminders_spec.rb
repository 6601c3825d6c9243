# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Reminders in the browser", :demo do
  include BrowserHelper

  # Stands for the browser's own: what would be shown is noted.
  def noting = <<~JS
    window.noted = [];
    window.Notification = class {
      static permission = "granted";
      static requestPermission = () => Promise.resolve(window.Notification.permission);
      constructor(title, { body }) { window.noted.push(`${title}: ${body}`); }
    };
  JS

  def noted = page.evaluate_script("window.noted")

  it "shows what is due once a day, when it is wanted and allowed" do
    page.visit "/#/settings"
    page.execute_script("#{noting} Notification.permission = 'denied';")
    page.check "Remind me in this browser"
    expect(page).to have_text("This browser blocks notifications from Graver.")
    expect(page).to have_unchecked_field("Remind me in this browser")
    page.execute_script("Notification.permission = 'granted';")
    page.check "Remind me in this browser"
    expect(page).to have_checked_field("Remind me in this browser")
    (Capybara.default_max_wait_time * 10).times { noted.any? ? break : sleep(0.1) }
    expect(noted).to include(match(/\A\w+: due: .*\w/m))
    shown = noted.length
    expect(page.evaluate_script("JSON.parse(localStorage.getItem('graver.reminded')).day")).to eq(BrowserHelper::TODAY)
    # Another page of the same day shows nothing again.
    page.refresh
    page.execute_script(noting)
    page.visit "/#/timeline"
    expect(page).to have_css("h1", text: "Timeline")
    expect([shown, noted]).to match([be > 0, []])
  end

  it "makes a private calendar address that a calendar can read, and takes it back" do
    page.visit "/#/timeline"
    page.find("summary", text: "Reminders in your calendar").click
    expect(page).to have_no_field("On this computer")
    page.click_button "Make private address"
    address = page.find_field("On this computer").value
    expect(page.evaluate_async_script("fetch('#{address}').then((each) => each.text()).then(arguments[0])")).to include(
      "BEGIN:VEVENT"
    )
    page.click_button "Remove address"
    expect(page).to have_button("Make private address")
    expect(page.evaluate_async_script("fetch('#{address}').then((each) => arguments[0](each.status))")).to eq(404)
  end
end
