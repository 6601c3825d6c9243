# frozen_string_literal: true

require "csv"
require "pdf/reader"
require_relative "../support/api_helper"

RSpec.describe "Parts, tools and paper in the API" do
  include ApiHelper

  before do
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[pad.new_thickness 11.5 mm],
      %w[slide_pin_bolt.torque 28 N·m],
      ["slide_pin_bolt.drive", "hex-13", nil],
      %w[wheel_nut.torque 120 N·m],
      ["wheel_nut.drive", "hex-17", nil],
      ["wheel_nut.count", "5", nil],
      %w[rotor.discard_thickness 23 mm]
    )
  end

  let(:job) { pad_job }
  let(:address) { "/jobs/#{job["id"]}" }

  def part(plan, id) = plan["parts"].find { |each| each["id"] == id }
  def stock(**given) = ask(:post, "/supplies", { kind: "part", item: "pads", axle: front, name: "Plain", **given })
  def refused(**given) = fields(stock(**given))

  it "compares a part with the old one, orders it in time and takes it off the shelf" do
    plain = stock(price: "38,50", lead_days: 4, thickness: "11.6", unit: "mm")
    expect(part(ask(:get, address), "front.pads")).to include(
      "state" => "order",
      "chosen" => plain["id"],
      "order_by" => "2026-05-19",
      "price" => 38.5,
      "checks" => [include("verdict" => "fits")]
    )
    other = stock(name: "Other", thickness: "17.0", unit: "mm")
    chosen = ask(:put, "#{address}/part-choices", { line: "front.pads", supply: other["id"] })
    expect(part(chosen, "front.pads")["checks"]).to contain_exactly(
      include("verdict" => "differs", "old_mm" => 11.5, "new_mm" => 17.0)
    )
    expect(chosen["readiness"].map { |item| item["kind"] }).to include("mismatch")
    ask(:put, "#{address}/part-choices", { line: "front.pads", supply: plain["id"] })
    ask(:patch, "/supplies/#{plain["id"]}", { on_shelf: "1" })
    expect(part(ask(:get, address), "front.pads")["state"]).to eq("shelf")
    ask(:patch, "/supplies/#{other["id"]}", { retired: true })
    expect(part(ask(:get, address), "front.pads")["supplies"].map { |each| each["name"] }).to eq(["Plain"])
    expect(fields(ask(:put, "#{address}/part-choices", { line: "front.clip_kit", supply: plain["id"] }))).to eq(
      "supply" => "unknown_supply"
    )
  end

  it "reports a part that can't arrive in time" do
    stock(lead_days: 30)
    expect(ask(:get, address)["readiness"].map { |item| item["kind"] }).to include("parts_late")
  end

  it "rejects impossible entries by field" do
    expect(refused(name: " ")).to eq("name" => "missing")
    expect(refused(price: "cheap", on_shelf: "-1", thickness: "400", lead_days: 999)).to eq(
      "price" => "not_a_number",
      "on_shelf" => "out_of_range",
      "thickness" => "out_of_range",
      "lead_days" => "out_of_range"
    )
    expect(stock(lead_days: 366)["error"]["fields"].first["message"]).to eq("Enter a value from 0 to 365 days.")
    expect([0, 365].map { |days| stock(lead_days: days)["lead_days"] }).to eq([0, 365])
    expect(refused(item: "stone")).to eq("item" => "unknown_item")
    expect(refused(kind: "wish")).to eq("kind" => "unknown_kind")
    expect(refused(axle: 999)).to eq("axle" => "unknown_axle")
    expect(refused(compound: "velvet", unit: "ell")).to include(
      "compound" => "unknown_compound",
      "unit" => "unknown_unit"
    )
    expect(refused(price: "999999999")).to eq("price" => "out_of_range")
  end

  it "lists the shelf with what each item is and where it belongs" do
    stock(on_shelf: "1")
    ask(
      :post,
      "/supplies",
      { kind: "part", item: "single_use.slide_pin_bolt", axle: front, name: "Bolts", on_shelf: "4" }
    )
    ask(:post, "/supplies", { kind: "consumable", item: "cleaner", name: "Cleaner", on_shelf: "2" })
    rows = ask(:get, "/supplies")["rows"].map { |row| row.values_at("what", "unit", "place") }
    expect(rows).to eq(
      [
        ["Set of pads for the whole axle", nil, "Juniper, front"],
        ["New slide pin bolt", nil, "Juniper, front"],
        ["Brake cleaner", "cans", nil]
      ]
    )
    ask(:patch, "/supplies/1", { retired: true })
    expect(ask(:get, "/supplies")["rows"].length).to eq(2)
  end

  it "returns the counter's offers, the wrong variant marked" do
    answer = ask(:get, "#{address}/offers?line=front.pads")
    expect(answer["simulated"]).to be(true)
    expect(answer["offers"].map { |offer| offer["checks"].first["verdict"] }).to include("fits", "differs")
    ask(:get, "#{address}/offers?line=front.nothing")
    expect(status).to eq(404)
  end

  it "knows owned tools, the workshop's measuring tools and safe substitutes" do
    status_of = ->(id) { ask(:get, address)["tools"].find { |tool| tool["id"] == id }["status"] }
    expect(status_of.call("press")).to eq("missing")
    ask(:put, "/tools", { tool: "clamp", owned: true })
    expect(status_of.call("press")).to eq("instead")
    expect(status_of.call("gauge")).to eq("missing")
    ask(:post, "/instruments", { name: "Blue", method: "caliper", unit: "mm" })
    expect(status_of.call("gauge")).to eq("owned")
    expect(fields(ask(:put, "/tools", { tool: "wand", owned: true }))).to eq("tool" => "unknown_tool")
    expect(ask(:get, "/tools")["tools"].find { |tool| tool["id"] == "clamp" }).to include("owned" => true)
  end

  # Worked by hand: parts 40, a shop at 50 an hour without mark-up and tax; the hours are the middle of what is usual
  # x 0.8.
  it "compares the cost with a shop's estimate or quote" do
    stock(price: "40")
    expect(
      ask(:put, "/money", { currency: "kr", labour_rate: "50", markup_percent: "0", tax_percent: "0" })["currency"]
    ).to eq("kr")
    expect(ask(:get, "/money")).to include("currency" => "kr", "labour_rate" => "50")
    money = ask(:get, address)["money"]
    labour = Math.sqrt(money["hours"]["low"] * money["hours"]["high"]) * 0.8
    expect(money).to include(
      "currency" => "kr",
      "parts" => 40.0,
      "shop_from" => "estimate",
      "shop" => be_within(3).of(40 + (labour * 50))
    )
    # a price is missing, so the saving is unknown
    quoted = ask(:put, "#{address}/quote", { total: "410" })
    expect(quoted["money"]).to include(
      "shop" => 410.0,
      "shop_from" => "quote",
      "saving" => nil,
      "unpriced" => include("Abutment clips for the whole axle", "Gloves", "Wheel chocks")
    )
    stock(item: "clip_kit", name: "Clips", price: "12")
    (
      quoted["consumables"].map { |each| "consumables:#{each["id"]}" } +
        quoted["tools"].map { |each| "tools:#{each["id"]}" }
    ).each { |item| ask(:post, "#{address}/resolved", { item:, done: true }) }
    expect(ask(:get, address)["money"]).to include("unpriced" => [], "total" => 52.0, "saving" => 358.0)
    expect(fields(ask(:put, "#{address}/quote", { total: "lots" }))).to eq("total" => "not_a_number")
    expect(ask(:put, "#{address}/quote", { total: nil })["money"]["shop_from"]).to eq("estimate")
    expect(fields(ask(:put, "/money", { tax_percent: "300", currency: "" }))).to eq(
      "tax_percent" => "out_of_range",
      "currency" => "missing"
    )
  end

  it "exports the shopping list without formulas" do
    stock(name: "=SUM(A1)", price: "12")
    get "/api/v1#{address}/parts.csv"
    rows = CSV.parse(last_response.body.dup.force_encoding("UTF-8"), headers: true)
    expect(rows.map { |row| row["kind"] }.uniq).to eq(%w[part consumable tool])
    expect(rows.first.to_h).to include(
      "item" => "Set of pads for the whole axle (4 pads)",
      "count" => "1",
      "name" => "'=SUM(A1)",
      "price_each" => "12"
    )
  end

  # pdf-reader, an independent reader of the format, finds what the sheet must say.
  it "prints a sheet with steps, torque, parts and cautions, on either paper" do
    stock(name: "Колодки", number: "P-1")
    ask(:post, "#{address}/notes", { step: "front.left.judge", text: "Longer bolt below" })
    sizes =
      { "a4" => [595, 842], "letter" => [612, 792] }.each_with_object({}) do |(paper, size), found|
        get "/api/v1#{address}/sheet.pdf?paper=#{paper}"
        expect(last_response.content_type).to eq("application/pdf")
        reader = PDF::Reader.new(StringIO.new(last_response.body))
        text = reader.pages.map(&:text).join.gsub(/[[:space:]]+/, "")
        said = [
          "Juniper",
          "28 N·m",
          "20.7 lbf·ft",
          "Колодки",
          "Your note: Longer bolt below",
          "Pump the pedal",
          "Danger: Keep everyone off the pedal",
          "Front left inner pad",
          "Front brake, taken apart",
          "Off: wheel, lug nuts.",
          "In doubt"
        ]
        expect(text).to include(*said.map { |words| words.gsub(/\s/, "") })
        expect(reader.page_count).to be <= 5
        found[paper] = reader.pages.first.attributes[:MediaBox].last(2).map(&:round) == size
      end
    expect(sizes.values).to all(be(true))
    %w[sheet card].each do |name|
      expect(fields(ask(:get, "#{address}/#{name}.pdf?paper=napkin"))).to eq("paper" => "unknown_paper")
    end
  end

  it "prints every torque of the job and its limits on one page for the wall" do
    get "/api/v1#{address}/card.pdf"
    reader = PDF::Reader.new(StringIO.new(last_response.body))
    expect(reader.page_count).to eq(1)
    torque = ask(:get, address)["torque"]
    said = ["20.7 lbf·ft", "limit 3 mm", *torque.map { |line| line["label"] }]
    expect(reader.pages.first.text.gsub(/[[:space:]]+/, "")).to include(*said.map { |words| words.gsub(/\s/, "") })
  end
end
