# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "The logbook in the API", :demo do
  include ApiHelper

  def log(**query) = ask(:get, "/logbook?#{URI.encode_www_form(query)}")
  def whats(**query) = log(**query)["lines"].map { |line| line["what"] }

  # FTS5: unicode61 takes case and accents away, and a star looks for beginnings (sqlite.org/fts5.html).
  it "finds words anywhere in an entry, from the beginning of a word, whatever case and accents" do
    ask(
      :post,
      inspections({ "id" => 1 }),
      inspection(
        "2026-05-15",
        "101400",
        note: "Mátyás drove; squeaks at Fünf Ecken",
        conditions: [{ item: "symptom", mark: "pulsation" }]
      )
    )
    expect(status).to eq(201)
    expect(log(words: "matyas FUNF")["count"]).to eq(1)
    expect(log(words: "squ eck")["lines"].first).to include(
      "kind" => "inspection",
      "vehicle" => "Juniper",
      "date" => "2026-05-15"
    )
    expect(log(words: "quea")["count"]).to eq(0)
    expect(log(words: "seized")["lines"].map { |line| line["vehicle"] }).to include("Juniper")
    expect(log(words: "3.9")["lines"].first["what"]).to include("3.9 mm")
    ["\" OR 1=1 --", "NEAR(", "a*b^c:d", "   ", "'); DROP TABLE texts; --", "ü" * 5000].each do |words|
      log(words:)
      expect([words[0, 10], status]).to eq([words[0, 10], 200])
    end
  end

  it "keeps to a vehicle, a kind and days, the newest first" do
    all = log(most: "500")
    days = all["lines"].map { |line| line["date"] }
    expect(days).to eq(days.sort.reverse)
    expect(days.max).to be <= ApiHelper::TODAY
    expect(all["lines"].map { |line| line["kind"] }.uniq).to include("inspection", "job", "follow_up")
    jobs = log(kind: "job")
    expect(jobs["lines"]).to all(include("kind" => "job", "place" => %r{\Ajobs/\d+\z}))
    expect(jobs["spent"]).to be_within(0.01).of(jobs["lines"].sum { |line| line["spent"] })
    some = log(vehicle: "2", from: "2025-01-01", upto: "2025-12-31")["lines"]
    expect(some).not_to be_empty
    expect(some).to all(include("vehicle" => "Mule", "date" => /\A2025/))
    expect(log(most: "1")).to include("count" => all["count"], "lines" => have_attributes(length: 1))
    expect(log(from: "soon")["count"]).to eq(all["count"])
  end

  it "shows a correction, and no longer what was there before" do
    id =
      ask(:get, "/logbook?kind=inspection&most=500")["lines"].find { |line| line["note"] == "Left slide pins dry" }[
        "place"
      ][
        /\d+/
      ]
    ask(:post, "/inspections/#{id}/corrections", { void: true, reason: "Wrong vehicle" })
    expect(status).to eq(201)
    expect(whats(words: "wrong vehicle")).to eq(["Struck out: Wrong vehicle"])
  end

  it "tells each set's story: how far, what went first, what was seen there" do
    front = ask(:get, "/logbook/sets?vehicle=1")["sets"].find { |set| set.values_at("axle", "part") == %w[front pad] }
    expect(front).to include("now" => true, "first" => "left inner", "left_mm" => 3.9, "new_mm" => 11.5, "km" => 39_110)
    # (11.5 - 3.9) mm over 39,110 km
    expect(front["pace"]).to be_within(0.001).of(0.194)
    expect(front["seen"]).to include(include("what" => "left slide pins", "mark" => "seized"))
    expect(ask(:get, "/logbook/sets")["sets"].map { |set| set["vehicle"] }.uniq.length).to be > 3
  end

  it "adds up what was spent, by year, axle and distance" do
    spent = ask(:get, "/logbook/costs")["vehicles"].find { |each| each["name"] == "Juniper" }
    expect(spent).to include("total" => 158.4, "unpriced" => 0)
    expect(spent["years"].sum { |year| year["spent"] }).to be_within(0.01).of(158.4)
    expect(spent["axles"].to_h { |axle| axle.values_at("axle", "spent") }).to eq("front" => 128.9, "rear" => 29.5)
    expect(spent["per_1000_km"]).to be_within(0.01).of(158.4 / spent["over_km"] * 1000)
    expect(ask(:get, "/logbook/costs")["vehicles"].find { |each| each["name"] == "Thistle" }).to include(
      "total" => 0,
      "per_1000_km" => nil
    )
  end

  it "forgets no vehicle that was archived" do
    before = log(vehicle: "2")["count"]
    spent = ask(:get, "/logbook/costs")["vehicles"].sum { |each| each["total"] }
    ask(:patch, "/vehicles/2", { archived: true })
    expect(status).to eq(200)
    expect(log(vehicle: "2")["count"]).to eq(before)
    expect(ask(:get, "/logbook/costs")["vehicles"].sum { |each| each["total"] }).to be_within(0.01).of(spent)
  end
end
