# frozen_string_literal: true

require "nokogiri"
require_relative "../support/browser_helper"

RSpec.describe "Drawings saved as SVG, in the browser", :demo do
  include BrowserHelper

  # The file the button gives to the browser.
  def saved
    page.execute_script(<<~JS)
      const make = URL.createObjectURL
      URL.createObjectURL = (file) => (file.text().then((text) => (document.documentElement.dataset.saved = text)), make(file))
    JS
    page.click_button "Save as SVG", match: :first
    page.find("html[data-saved]", visible: :all)["data-saved"]
  end

  # Pixels of a colour (red, green, blue) where the file alone is drawn, without the page's style sheets.
  def painted(text, colour)
    page.evaluate_async_script(<<~JS, text, colour)
      const [text, colour, done] = arguments
      const image = new Image()
      image.onload = () => {
        const pen = Object.assign(document.createElement("canvas"), { width: image.width, height: image.height }).getContext("2d")
        pen.drawImage(image, 0, 0)
        const { data } = pen.getImageData(0, 0, image.width, image.height)
        let count = 0
        for (let at = 0; at < data.length; at += 4) if (colour.every((each, of) => Math.abs(data[at + of] - each) < 4)) count += 1
        done(count)
      }
      image.src = "data:image/svg+xml," + encodeURIComponent(text)
    JS
  end

  it "saves the section of an axle with both wheels, as it is shown, in a file that needs nothing else" do
    page.visit "/#/vehicles/1"
    expect(page).to have_css("figcaption", text: "left wheel")
    text = saved
    document = Nokogiri.XML(text, &:strict).remove_namespaces!
    expect(document.at("title").text).to eq("Juniper, front brake")
    expect(document.search("text").map(&:text)).to include("left wheel", "right wheel", "inner", "3.6")
    expect(text).not_to match(/var\(|class=|<style|href=/)
    # friction material: 176, 122, 46 in the light theme; four pads, the worn ones in part
    expect(painted(text, [176, 122, 46])).to be_between(2_000, 12_000)
  end

  it "saves the wear chart and the timeline" do
    page.visit "/#/axles/1/wear"
    expect(page).to have_text("Thickness over distance")
    chart = Nokogiri.XML(saved, &:strict).remove_namespaces!
    expect(chart.at("title").text).to eq("Wear of Juniper, front")
    expect(chart.search("text").map(&:text)).to include("your limit, 3\u00a0mm")
    page.visit "/#/vehicles/1/timeline"
    expect(page).to have_css("svg[role=img] .lane", text: "Front")
    page.refresh
    expect(page).to have_css("svg[role=img] .lane", text: "Front")
    timeline = Nokogiri.XML(saved, &:strict).remove_namespaces!
    expect(timeline.xpath("//text/text()").map(&:text)).to include("Front", "Rear", "pads", "fluid due")
  end
end
