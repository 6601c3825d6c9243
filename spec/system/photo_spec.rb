# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "Measuring in a photo, in the browser", :demo do
  include BrowserHelper

  # A picture of 1000 by 800 px, put into the file field as a camera does.
  def picture = <<~JS
    const [done] = arguments;
    const canvas = Object.assign(document.createElement("canvas"), { width: 1000, height: 800 });
    canvas.getContext("2d").fillRect(300, 200, 400, 240);
    canvas.toBlob((blob) => {
      const files = new DataTransfer();
      files.items.add(new File([blob], "pad.png", { type: "image/png" }));
      const field = document.querySelector(".measure input[type=file]");
      field.files = files.files;
      field.dispatchEvent(new Event("change", { bubbles: true }));
      done(true);
    });
  JS

  # Each mark as many px of the photo along and down as arrow keys bring it.
  def set(mark, *presses)
    presses.each { |key, shift| page.execute_script(<<~JS, mark, key, shift) }
        document.querySelectorAll(".measure svg g[role=button]")[arguments[0]].dispatchEvent(
          new KeyboardEvent("keydown", { key: arguments[1], shiftKey: arguments[2], bubbles: true }))
      JS
  end

  def open_photo
    page.visit "/#/vehicles/3/inspection"
    expect_focus("odometer")
    page.click_button "Photo", match: :first
    expect(page).to have_css(".measure input[type=file]", visible: :all)
    page.evaluate_async_script(picture)
    expect(page).to have_css(".measure svg g[role=button]", count: 4)
  end

  # The marks begin 20 % of the width apart: the same length for both is the known 10 mm.
  def set_all = 4.times { |mark| set(mark, ["ArrowDown", false]) }

  it "takes the thickness between two bounds as a reading, and keeps it in the draft" do
    open_photo
    expect(page).to have_text("Set all four marks.")
    set_all
    expect(page).to have_text(/10\.0.mm, between \d\.\d and 1\d\.\d.mm/)
    set(3, ["ArrowLeft", true], ["ArrowLeft", true])
    expect(page).to have_no_text(/10\.0.mm, between/)
    page.click_button "Use this reading"
    expect(page).to have_no_css(".measure").and have_css("input[aria-label*='upper bound']")
    expect(page).to have_text("Saved as you type")
    page.refresh
    expect(page).to have_css("input[aria-label*='upper bound']")
    page.fill_in "odometer", with: "163500"
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    logged = context.store.inspections.of_vehicle(3).last
    expect(context.store.photos.of_vehicle(3).count { |photo| photo.inspection_id == logged.id }).to eq(1)
    page.visit "/#/inspections/#{logged.id}"
    expect(page).to have_css("button[aria-label^='Photo'] img")
  end

  it "measures on its own while the server is out of reach, and says so" do
    open_photo
    unreachable(%r{/photo-measurements}) do
      set_all
      expect(page).to have_text(/10\.0.mm, between \d\.\d and 1\d\.\d.mm/)
      expect(page).to have_text("Measured on this device, as Graver is out of reach.")
    end
  end
end
