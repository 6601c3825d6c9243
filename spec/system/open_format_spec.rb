# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Open formats in the browser", :demo do
  include BrowserHelper

  # A browser reads the file again when it is sent.
  def choose(name, text)
    path = File.join(File.dirname(context.store.backups.household), name)
    File.write(path, text)
    page.all("input[type=file]", visible: :all).last.attach_file(path)
  end

  it "tries a file, says what would happen, and imports it only then" do
    document = context.store.document("2026-05-16T00:00:00Z")
    more = JSON.parse(JSON.generate(document)).merge("supplies" => [])
    bramble = more["vehicles"].last.merge("id" => 900, "name" => "Bramble", "inspections" => [], "follow_ups" => [])
    bramble["axles"].each { |axle| axle["jobs"] = [] }
    more["vehicles"] = [bramble]
    page.visit "/#/backups"
    expect(page).to have_css("h2", text: "Open formats")
    choose("all.json", JSON.generate(document))
    expect(page).to have_text("everything in it is already here")
    expect(page).to have_no_button("Import")
    choose("bad.json", JSON.generate(more.merge("vehicles" => [{ "name" => 1 }])))
    expect(page).to have_text(/can't be imported.*Line 1/m)
    choose("more.json", JSON.generate(more))
    expect(page).to have_css("tr", text: /Vehicles\s+1\s+0\s+0/)
    expect(context.store.vehicles.all.map(&:name)).not_to include("Bramble")
    page.click_button "Import"
    expect(page).to have_text("Imported. Your previous data is the newest backup.")
    expect(context.store.vehicles.all.map(&:name)).to include("Bramble", "Juniper")
    expect(page).to have_css("td", text: "Before an import")
    expect(accessibility_faults).to be_empty
  end
end
