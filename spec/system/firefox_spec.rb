# frozen_string_literal: true

require "json"
require "open3"
require_relative "../support/browser_helper"

# Debian's Firefox, over WebDriver BiDi (spec/firefox/journeys.mjs).
RSpec.describe "The main journeys in Firefox", :demo do
  include BrowserHelper

  it "adds a vehicle, inspects it, forecasts, and guides a job" do
    server = Capybara::Server.new(->(env) { BrowserHelper.application.call(env) }).boot
    journeys = File.expand_path("../firefox/journeys.mjs", __dir__)
    said, status = Open3.capture2e("node", journeys, server.base_url)
    found = said.lines.grep(/\A\{/).map { |line| JSON.parse(line) }
    expect(found.to_h { |each| each.values_at("name", "fault") }.compact).to eq({}), said
    expect([found.length, status.success?]).to eq([4, true]), said
  end
end
