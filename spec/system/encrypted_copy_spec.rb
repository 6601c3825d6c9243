# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Encrypted copies in the browser", :demo do
  include BrowserHelper

  let(:words) { "five words that nobody knows" }

  it "saves one, and adds one back with its passphrase" do
    page.visit "/#/backups"
    page.fill_in "Passphrase", with: "short"
    page.click_button "Save an encrypted copy"
    expect(page).to have_text("Use at least 16 characters")
    page.fill_in "Passphrase", with: words
    page.click_button "Save an encrypted copy"
    expect(page).to have_text(/Encrypted copy saved as graver-.*-encrypted\.zip/)
    expect(page).to have_css("td", text: "By hand", count: 1)
    zip = File.join(File.dirname(context.store.backups.household), "copy.zip")
    File.binwrite(zip, context.store.backups.encrypted(words).to_a.join)
    page.first("input[type=file]", visible: :all).attach_file(zip)
    page.fill_in "copy.zip is locked. Enter its passphrase.", with: "five other words"
    page.click_button "Add it"
    expect(page).to have_text("Wrong passphrase for this copy.")
    page.fill_in "copy.zip is locked. Enter its passphrase.", with: words
    page.click_button "Add it"
    expect(page).to have_text("Backup added. Restore it below.")
    expect(accessibility_faults).to be_empty
  end
end
