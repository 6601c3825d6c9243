# frozen_string_literal: true

require_relative "../support/api_helper"

# One walk as an American owner: pads in 32nds, rotors in decimal inches, miles.
RSpec.describe "The owner's units" do
  include ApiHelper

  # What may be in mm: what was entered so, sockets and drives (their size is their name), a law's title; and volumes,
  # where bottles say ml too.
  as_it_is = /\.(entered|before\.text|drive|said|value|todo|source)\z|\Achoices|\.choices|uses|tools\.\[\](\z|\.label)/
  metric = %r{\d[\s\u00a0]?(?:mm|km|km/h|°C)\b}

  def texts(content, path = "", &block)
    case content
    when Hash
      content.each { |key, value| texts(value, "#{path}.#{key}", &block) }
    when Array
      content.each { |value| texts(value, "#{path}.[]", &block) }
    when String
      yield path, content
    end
  end

  def pages
    vehicles, axles = context.store.vehicles.all.map(&:id), context.store.vehicles.all.flat_map(&:axles).map(&:id)
    [
      "/garage",
      "/timelines",
      "/approaches",
      "/help",
      "/tools",
      *vehicles.flat_map do |id|
        ["", "/findings", "/timeline", "/inspection-form"].map { |page| "/vehicles/#{id}#{page}" }
      end,
      *axles.flat_map { |id| %w[wear brake-data job-plan].map { |page| "/axles/#{id}/#{page}" } },
      "/jobs/1",
      "/jobs/2"
    ]
  end

  def american
    ask(:put, "/units", { pad: "32nd", rotor: "in", torque: "lbf·ft" })
    ask(:put, "/vocabulary", { english: "us" })
    context.store.vehicles.all.each { |vehicle| ask(:patch, "/vehicles/#{vehicle.id}", { distance_unit: "mi" }) }
  end

  it "are on every page", :demo do
    american
    left =
      pages.flat_map do |page|
        found = []
        texts(ask(:get, page)) do |path, text|
          if text.match?(metric) && !text.match?(%r{ in\b}) && !path.match?(as_it_is)
            found << "#{page} #{path}: #{text}"
          end
        end
        found
      end
    # what an owner entered in mm, named where it is doubted
    expect(left.grep_v(/reading of .* doesn't fit the others/)).to eq([])
    # cached pages follow a change
    limits = -> { ask(:get, "/vehicles/1/findings")["findings"].map { |each| each["limit"] }.join(" ") }
    expect([limits.call[/4.32 in/], ask(:put, "/units", { pad: "mm" }) && limits.call[/3\.0 mm/]]).to all(be_truthy)
  end

  # By hand: 3 mm are 3.8 thirty-seconds of an inch, 5.6 mm are 7.06, 0.5 mm are 0.020 in, 22.05 mm are 0.868 in.
  it "round a pad down and its limit up to a 32nd, and never an error or a rotor" do
    fill =
      lambda do |sentence, measures|
        Graver::Say::Spoken.in("us", { "pad" => "32nd", "rotor" => "in" }) do
          Graver::Service::Base::Wording.new("mi").fill(sentence, measures).to_s.tr("\u00a0", " ")
        end
      end
    expect(
      fill[
        "{now_mm} mm, limit {limit_mm} mm, thinner by {thinner_mm} mm; {discard_mm} mm, {variation_mm} mm; {sped_mm_per_1000km}",
        {
          "now_mm" => 5.6,
          "limit_mm" => 3.0,
          "thinner_mm" => 0.5,
          "discard_mm" => 22.05,
          "variation_mm" => 0.02,
          "sped_mm_per_1000km" => 0.14
        }
      ]
    ).to eq("7/32 in, limit 4/32 in, thinner by 0.020 in; 0.868 in, 0.0008 in; 0.0089 in per 1,000 mi")
    expect(fill["{now_mm} ± {error_mm} mm", { "now_mm" => 5.6, "error_mm" => 0.2 }]).to eq("0.220 ± 0.008 in")
  end

  it "read the one unit of earlier versions as both" do
    context.store.preferences.set("units", { "length" => "in" })
    expect(ask(:get, "/units")).to include("pad" => "in", "rotor" => "in", "torque" => "N·m")
    expect(fields(ask(:put, "/units", { pad: "ell" }))).to eq("pad" => "out_of_range")
  end
end
