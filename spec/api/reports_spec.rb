# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/api_helper"
require_relative "../support/camera"

RSpec.describe "Reports on a vehicle in the API", :demo do
  include ApiHelper

  def pages = PDF::Reader.new(StringIO.new(last_response.body)).pages

  def images = pages.sum { |page| page.xobjects.length }

  def report(parts, vehicle: 1)
    header "Host", "127.0.0.1"
    get "/api/v1/vehicles/#{vehicle}/report.pdf?parts=#{parts}"
    return if status != 200

    plain(pages.map(&:text).join("\n")).gsub(/\s+/, "")
  end

  # A printed text keeps no spaces to rely on.
  def say(all, text) = expect(all).to include(text.delete(" "))

  it "tells what was ticked and nothing else" do
    all = report("vehicle,brakes,fitted,findings,sets,history,data")
    ["Brake report, Juniper", "Front: Plan", "On the vehicle now", "Rotors, coated", "100,310 km"].each do |text|
      say(all, text)
    end
    ["Left inner was thinnest: 3.9 mm", "left slide pins seized", "Not known: Machine-to thickness"].each do |text|
      say(all, text)
    end
    # whoever reads it isn't the owner
    ["the owner's limit", "Measured by the owner"].each { |text| say(all, text) }
    expect(all).not_to match(/yourlimit|byyou/i)
    some = report("sets")
    say(some, "was thinnest")
    expect(some).not_to match(/100,310|Discard|Findings|Onthevehiclenow/)
    expect(report("")).to include("Brakereport").and have_attributes(length: be < 300)
  end

  it "shows photos where they are ticked" do
    header "Host", "127.0.0.1"
    header "Content-Type", "image/jpeg"
    post "/api/v1/inspections/1/photos", Camera.photo(orientation: 1)
    expect(report("vehicle")).not_to include("Photos")
    without = images
    expect(report("photos")).to include("Photoof")
    expect(images).to be > without
  end

  it "is made of any vehicle, whatever is known of it" do
    ask(:get, "/places")["vehicles"].each do |vehicle|
      expect(report("vehicle,brakes,fitted,findings,sets,history,data,photos", vehicle: vehicle["id"])).to include(
        vehicle["name"]
      )
    end
    bare = ask(:post, "/vehicles", { name: "Bare «ブレーキ»", kind: "motorcycle" })
    expect(report("vehicle,brakes,fitted,findings,sets,history,data,photos", vehicle: bare["id"])).to include("Bare")
    report("vehicle", vehicle: 999)
    expect(status).to eq(404)
  end
end
