# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Practice in the API" do
  include ApiHelper

  it "draws and marks every exercise as described" do
    kinds = ask(:get, "/drills")["drills"].map { |each| each["id"] }
    expect(kinds.length).to eq(8)
    kinds.each do |kind|
      drill = ask(:get, "/drills/#{kind}?seed=12")
      given = { "number" => { answer: "7" }, "choice" => { answer: drill["choices"].first&.fetch("id") } }
      order = drill["choices"].map { |each| each["id"] }
      marked = ask(:post, "/drills/#{kind}/answers", { seed: 12, **given.fetch(drill["form"], { order: }) })
      expect([status, marked["because"].empty?]).to eq([200, false])
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
