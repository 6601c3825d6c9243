# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Practice in the API" do
  include ApiHelper

  it "draws and marks every exercise as described" do
    kinds = ask(:get, "/drills")["drills"].map { |each| each["id"] }
    expect(kinds.length).to eq(11)
    kinds.each do |kind|
      drill = ask(:get, "/drills/#{kind}?seed=12")
      given = { "number" => { answer: "7" }, "choice" => { answer: drill["choices"].first&.fetch("id") } }
      order = drill["choices"].map { |each| each["id"] }
      marked = ask(:post, "/drills/#{kind}/answers", { seed: 12, **given.fetch(drill["form"], { order: }) })
      expect([status, marked["because"].empty?]).to eq([200, false])
    end
  end

  def right(kind, seed)
    drill = ask(:get, "/drills/#{kind}?seed=#{seed}")
    given =
      drill["choices"].select { |each| ask(:post, "/drills/#{kind}/answers", { seed:, answer: each["id"] })["right"] }
    [drill, given.map { |each| each["id"] }]
  end

  # common practice, no source: what is in the way of what, and what stays dry
  it "asks about the parts of a drawn brake, each with one right answer" do
    order = %w[wheel_nut caliper slide_pin_bolt inner_pad bracket bracket_bolt rotor]
    (1..12).each do |seed|
      drill, first = right("first", seed)
      offered = order.select { |id| drill["picture"]["of"].include?(id) }
      expect(first).to eq([offered.first]) if offered.length == drill["choices"].length
      expect(first.length).to eq(1)
      _, greased = right("grease", seed)
      expect(greased - %w[slide_pin hub backing_plate adjuster]).to be_empty
      named, part = right("part", seed)
      expect(part).to eq(named["picture"]["of"])
    end
  end

  it "rejects by field" do
    expect(fields(ask(:post, "/drills/vernier/answers", { seed: 3, answer: "a bit" }))).to include("answer" => anything)
    expect(fields(ask(:post, "/drills/order/answers", { seed: 3, answer: "x" }))).to eq("answer" => "missing")
    expect(fields(ask(:get, "/drills/leaf?seed=minus"))).to eq("seed" => "out_of_range")
    expect(fields(ask(:post, "/drills/leaf/answers", { answer: "between" }))).to eq("seed" => "invalid")
    ask(:get, "/drills/jitterbug")
    expect(status).to eq(404)
  end
end
