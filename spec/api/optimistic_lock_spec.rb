# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/job_helper"

# Two windows on one thing: what one has changed is not overwritten by the other without its owner's word.
RSpec.describe "Changes from two windows" do
  include ApiHelper

  before { car }

  def change(verb, path, content, seen)
    header "If-Match", seen && %("#{seen}")
    ask(verb, path, content)
    header "If-Match", nil
    [status, answer["error"]]
  end

  def answer = JSON.parse(plain(last_response.body))

  # The second of two changes from the same page: [status, messages, code], and again with the revision it was told.
  def both(verb, path, first, second, seen)
    expect(change(verb, path, first, seen).first).to eq(200)
    code, error = change(verb, path, second, seen)
    again = change(verb, path, second, error["revision"]).first
    [code, error["code"], error["fields"].map { |fault| fault["message"] }, again]
  end

  it "answers the slower one with both versions, and accepts it when sent again" do
    seen = ask(:get, "/vehicles/#{car["id"]}")["revision"]
    expect(both(:patch, "/vehicles/#{car["id"]}", { name: "Mule" }, { name: "Donkey" }, seen)).to eq(
      [412, "changed_elsewhere", ["Name: Mule now, Donkey as you entered it."], 200]
    )
    expect(ask(:get, "/vehicles/#{car["id"]}")["name"]).to eq("Donkey")
  end

  it "lets two windows change different fields, or one to the same value" do
    seen = ask(:get, "/vehicles/#{car["id"]}")["revision"]
    codes =
      [{ name: "Mule" }, { distance_unit: "mi" }, { name: "Mule" }, { name: "Ass" }].map do |content|
        change(:patch, "/vehicles/#{car["id"]}", content, seen).first
      end
    expect(codes).to eq([200, 200, 200, 412])
    expect(ask(:get, "/vehicles/#{car["id"]}").values_at("name", "distance_unit")).to eq(%w[Mule mi])
  end

  it "rejects an unknown key by field" do
    path = "/axles/#{front}/brake-data"
    unknown = { entries: [{ key: "rotor.colour", value: "red", unit: nil, source: "manual" }] }
    code, error = change(:post, path, unknown, ask(:get, path)["revision"])
    expect([code, error["fields"].map { |fault| fault.values_at("field", "code") }]).to eq(
      [422, [%w[entries.0.key unknown_key]]]
    )
  end

  it "checks every value of the brake data separately" do
    path = "/axles/#{front}/brake-data"
    entry = ->(key, value, unit = "mm", source = "cast") { { entries: [{ key:, value:, unit:, source: }] } }
    seen = ask(:get, path)["revision"]
    expect(
      both(:post, path, entry.call("rotor.discard_thickness", "22"), entry.call("rotor.discard_thickness", "20"), seen)
    ).to eq(
      [
        412,
        "changed_elsewhere",
        [
          "Discard thickness (MIN TH): 22 mm (Cast or printed on the part) now, 20 mm (Cast or printed on the part) as you entered it."
        ],
        200
      ]
    )
    expect(change(:post, path, entry.call("rotor.new_thickness", "24"), seen).first).to eq(200)
    gone = { entries: [{ key: "rotor.new_thickness", value: nil, source: "unknown" }] }
    expect(change(:post, path, gone, seen)[1]["fields"].first["message"]).to end_with(
      "can't be found as you entered it."
    )
    expect(change(:post, path, gone, ask(:get, path)["revision"]).first).to eq(200)
    expect(change(:post, path, entry.call("rotor.new_thickness", "24"), seen).first).to eq(412)
  end

  it "checks supplies and tools" do
    added = ask(:post, "/supplies", { kind: "tool", item: "jack", name: "Old jack", price: "20" })
    expect(
      both(:patch, "/supplies/#{added["id"]}", { price: "25" }, { price: "30", name: "Old jack" }, added["revision"])
    ).to eq([412, "changed_elsewhere", ["Price: 25 now, 30 as you entered it."], 200])
    wrench = ask(:post, "/torque-wrenches", { name: "Long", unit: "N·m", least: "40", most: "200", graduation: "1" })
    first, second = { name: "Longest" }, { retired: true, name: "Short" }
    expect(both(:patch, "/torque-wrenches/#{wrench["id"]}", first, second, wrench["revision"])[0]).to eq(412)
  end

  it "checks a job's day, scope, parts and quote, and starts only what was seen" do
    job = ask(:post, "/axles/#{front}/jobs", { planned_for: nil })
    path, seen = "/jobs/#{job["id"]}", job["revision"]
    scope = ->(*works) { { axles: { front.to_s => works }, reasons: {} } }
    expect(both(:put, "#{path}/scope", scope["pads", "bleed"], scope["bleed"], seen)[2]).to eq(
      ["Scope: Front: new pads, new fluid now, Front: new fluid as you entered it."]
    )
    days = [7, 9].map { |ahead| { planned_for: (Date.iso8601(ApiHelper::TODAY) + ahead).iso8601 } }
    expect(both(:patch, path, *days, seen)[0]).to eq(412)
    expect(both(:put, "#{path}/quote", { total: "200" }, { total: "300" }, seen)[0]).to eq(412)
    code, error = change(:patch, path, { state: "ready", because: "so" }, seen)
    expect([code, error["fields"].map { |fault| fault["field"] }]).to eq([412, ["scope"]])
  end

  it "checks the household's choices" do
    {
      "/money" => [{ labour_rate: "80" }, { labour_rate: "70" }],
      "/schedule" => [{ lead_days: 10 }, { lead_days: 20 }],
      "/approaches" => [{ pads: "law" }, { pads: "maker" }],
      "/vocabulary" => [{ english: "us" }, { english: "uk" }],
      "/units" => [{ pad: "in" }, { pad: "32nd" }],
      "/inspection-order" => [{ start: "rear_left" }, { start: "rear_right" }]
    }.each do |path, (first, second)|
      change(:put, path, first, nil)
      seen = answer["revision"]
      change(:put, path, second, seen)
      expect(change(:put, path, first, seen)[0]).to eq(412), path
    end
  end

  it "checks the day of a planned event" do
    trip = { kind: "trip", name: "Over the pass", from: "2026-06-01", to: "2026-06-14", distance: "900" }
    planned = ask(:post, "/vehicles/#{car["id"]}/planned-events", trip)["planned"].first
    path = "/planned-events/#{planned["id"]}/move"
    expect(both(:post, path, { from: "2026-06-08" }, { from: "2026-06-22" }, planned["revision"])).to eq(
      [412, "changed_elsewhere", ["Day: 2026-06-08 now, 2026-06-22 as you entered it."], 200]
    )
  end

  it "skips the check without If-Match and rejects an invalid revision" do
    seen = ask(:get, "/vehicles/#{car["id"]}")["revision"]
    codes =
      [nil, "*", seen, "%%%", "W10=", "x" * 5000].map do |revision|
        change(:patch, "/vehicles/#{car["id"]}", { name: "Mule" }, revision).first
      end
    expect(codes).to eq([200, 200, 200, 422, 422, 422])
  end
end
