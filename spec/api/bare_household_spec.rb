# frozen_string_literal: true

require_relative "../support/api_helper"

# An owner's own household, where nothing simulated was asked for.
RSpec.describe "A household without simulated devices" do
  include ApiHelper

  let(:folder) { Dir.mktmpdir }

  after { FileUtils.rm_rf(folder) }

  def context
    @context ||=
      Graver::Boot.context(
        { "GRAVER_DATABASE" => File.join(folder, "graver.sqlite3"), "GRAVER_TODAY" => ApiHelper::TODAY },
        knowledge: KNOWLEDGE
      )
  end

  it "has no device and no parts counter" do
    expect(ask(:get, "/devices")).to eq("counter" => false, "devices" => [])
    know(front, ["caliper.kind", "floating_slide_pins", nil])
    job = ask(:post, "/axles/#{front}/jobs", {})
    expect(ask(:get, "/jobs/#{job["id"]}/offers?line=front.pads")["error"]).to include(
      "message" => match(/no parts counter/i)
    )
    expect(status).to eq(503)
    ask(:patch, "/devices/caliper", { connected: true })
    expect(status).to eq(404)
  end

  it "starts empty and takes no vehicle for a sample" do
    expect(ask(:get, "/garage")["vehicles"]).to be_empty
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("7.4")))
    expect(ask(:get, "/axles/#{front}/wear")["axle"]["readings"]).to eq(1)
    expect(ask(:get, "/vehicles/#{car["id"]}")["sample"]).to be(false)
    ask(:post, "/vehicles", { name: "Mine", kind: "car", sample: true })
    expect(ask(:get, "/garage")["vehicles"].map { |vehicle| vehicle["sample"] }).to all(be(false))
  end
end
