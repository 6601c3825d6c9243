# frozen_string_literal: true

require_relative "../support/browser_helper"

RSpec.describe "From nothing to a forecast in the browser, by keys alone" do
  include BrowserHelper

  let(:pressed) { [] }

  # Each key counts, a letter like a Tab.
  def keys(*all)
    all.each { |each| pressed.concat(each.is_a?(Symbol) ? [each] : each.chars) }
    type(*all)
  end

  def tab_to(name)
    # a page that has just opened puts the focus where it wants it first
    20.times { there?(name) ? break : sleep(0.05) }
    20.times { there?(name) ? break : keys(:Tab) }
    expect(there?(name)).to be(true), name
  end

  def there?(name)
    page.evaluate_script("(document.activeElement.innerText || '').trim()").start_with?(name)
  end

  it "takes fewer than sixty" do
    page.visit "/"
    expect(page).to have_link("Add a vehicle").or have_button("Add a vehicle")
    tab_to("Add a vehicle")
    keys(:Enter)
    expect(page).to have_css("h1", text: "Add a vehicle")
    keys("Wren", :Enter)
    expect(page).to have_css("h1", text: "Brakes on this vehicle")
    tab_to("Start the first inspection")
    keys(:Enter)
    expect_focus("odometer")
    keys("61200", :Enter, "7.8", :Enter, "8.1", :Enter, "7.9", :Enter, "8.0")
    pressed.push(:Control, :Enter)
    type(%i[control Enter])
    expect(page).to have_css("h1", text: "Findings")
    page.visit "/#/axles/1/wear"
    expect(page).to have_text(/Most likely [\d,]+\p{Space}km/)
    expect(pressed.length).to be < 60, pressed.inspect
  end
end
