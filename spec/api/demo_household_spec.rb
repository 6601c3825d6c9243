# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "The demo household through the API", :demo do
  include ApiHelper

  let(:garage) { ask(:get, "/garage") }
  let(:axles) { garage["vehicles"].flat_map { |vehicle| vehicle["axles"] } }

  it "serves every screen of every axle as described" do
    axles.each do |axle|
      %w[brake-data wear job-plan].each do |screen|
        ask(:get, "/axles/#{axle["id"]}/#{screen}")
        expect(status).to eq(200)
      end
    end
    garage["vehicles"].each do |vehicle|
      vehicle["log"].each { |entry| ask(:get, "/inspections/#{entry["id"]}") }
      %w[inspection-form draft imports findings].each do |screen|
        ask(:get, "/vehicles/#{vehicle["id"]}/#{screen}")
        expect(status).to eq(200)
      end
    end
  end

  it "sorts by severity, then by due date" do
    order = %w[stop plan watch good]
    words = garage["vehicles"].map { |vehicle| vehicle["state"]["severity"] }
    expect(words).to eq(words.sort_by { |severity| order.index(severity) })
    garage["vehicles"].each do |vehicle|
      expect(vehicle["state"]["severity"]).to eq(
        (
          vehicle["axles"].map { |axle| axle["state"]["severity"] } + vehicle["seen"].map { |mark| mark["severity"] }
        ).min_by { |severity| order.index(severity) }
      )
    end
  end

  it "returns lives with rising distances and dates, inspect-by before the median, reasons with sources" do
    axles.each do |axle|
      life = axle["pads_life"]
      expect([life["distance_km"].values, life["date"].values]).to eq(
        [life["distance_km"].values.sort, life["date"].values.sort]
      )
      expect(axle["look_again"]["distance_km"]).to be <= life["distance_km"]["p50"]
      expect(axle["look_again"]["date"]).to be_between(ApiHelper::TODAY, "2027-05-16")
      expect(axle["reasons"]).to all(
        include("sentence" => satisfy { |text| !text.match?(/[{}?]/) }, "source" => be_a(String))
      )
    end
  end

  it "draws sections from known data" do
    axles.each do |axle|
      axle["corners"].each do |corner|
        pads, turning = corner["pads"], corner["drum"] || corner["rotor"]
        expect(pads.map { |pad| pad["now_mm"] }).to all(be_between(0, pads.first["new_mm"] + 0.3))
        expect(turning["sd_mm"].nil?).to eq(turning["now_mm"].nil?)
      end
    end
    wren = garage["vehicles"].find { |vehicle| vehicle["name"] == "Wren" }
    expect(wren["axles"].map { |axle| axle["corners"].map { |corner| corner["side"] } }).to eq(
      [%w[left right], %w[left]]
    )
    expect(wren["axles"].first["corners"].first["rotor"]["discard_mm"]).to be_within(0.001).of(4.394)
  end

  it "returns readings as entered and in mm, by set, with the doubtful one named" do
    thistle = garage["vehicles"].find { |vehicle| vehicle["name"] == "Thistle" }["axles"].first
    wear = ask(:get, "/axles/#{thistle["id"]}/wear")
    doubted = wear["readings"].select { |reading| reading["doubted"] }
    expect(doubted).to contain_exactly(include("position" => "right_outer", "entered" => "12.6 mm", "kept" => true))
    # the seized pin of the demo is told, and how far its own log has replaced what is believed of any vehicle
    pin = ask(:get, "/axles/1/wear")["why"].join(" ")
    expect(pin).to match(/[3-9]\d % chance that the left inner pad has worn faster since about \d+ \w+ 20\d\d/)
    expect(pin).to match(/Your own readings now carry [89]\d % of the weight/)
    expect(wear["why"].join(" ")).to include("right outer pad reading").and include("doesn't fit the others")
    expect(wear["readings"]).to all(satisfy { |reading| reading["mm"].between?(reading["low_mm"], reading["high_mm"]) })
    juniper = garage["vehicles"].find { |vehicle| vehicle["name"] == "Juniper" }["axles"].first
    gauge = ask(:get, "/axles/#{juniper["id"]}/wear")["readings"].find { |reading| reading["method"] == "gauge" }
    expect(gauge).to include("entered" => "7 to 8 mm", "low_mm" => 7.0, "high_mm" => 8.0, "mm" => 7.5)
  end

  it "reminds a calendar of the pads that are renewed next, without an inspection before" do
    get("/api/v1/calendar.ics", {}, { "HTTP_HOST" => "127.0.0.1" })
    expect(last_response.body.gsub("\r\n ", "")).to include("Juniper: Renew the front pads")
  end

  it "counts how many forecasts were right over the whole garage" do
    held = ask(:get, "/forecasts-held")
    expect(status).to eq(200)
    expect(held).to eq(ask(:get, "/axles/1/forecast-quality")["backtest"]["garage"])
    expect(held["covered"]).to be_between(0, held["known"])
  end

  it "writes the logbook in words, the newest first" do
    card = garage["vehicles"].find { |vehicle| vehicle["name"] == "Juniper" }
    expect(card["log"]).to eq([])
    log = ask(:get, "/vehicles/#{card["id"]}")["log"]
    expect(log.map { |entry| entry["date"] }).to eq(log.map { |entry| entry["date"] }.sort.reverse)
    expect(log.map { |entry| entry["what"] }).to include(
      a_string_matching(
        /\A4 front pads measured, thinnest 3\.9.mm \(left inner\); 2 front rotors measured, .*; 15 marks\z/
      ),
      "new front pads fitted; new front rotors fitted",
      "fluid renewed",
      "2 rear pads measured, thinnest 8.0 mm (left outer)"
    )
  end

  it "names a mark as a reason with its place" do
    reasons = ask(:get, "/vehicles/1")["axles"].first["reasons"].map { |reason| reason["sentence"] }
    expect(reasons).to include(/Inner pad much thinner than outer, left\./)
  end

  it "reads the right pad with the simulated caliper" do
    axles = ask(:get, "/vehicles/1")["axles"].map { |axle| axle["id"] }
    ask(:patch, "/devices/caliper", { settings: { noise: 0 } })
    read =
      axles.map do |axle|
        place = { quantity: "length", axle:, part: "pad", side: "left", pad: "inner" }
        ask(:post, "/devices/caliper/readings", { vehicle: 1, **place })["value"].to_f
      end
    # demo/household.yml: 3.6 and 6.7 mm are really there
    expect(read).to match([be_within(0.2).of(3.6), be_within(0.2).of(6.7)])
  end

  it "says what is due together" do
    sessions = ask(:get, "/garage")["vehicles"].map { |each| ask(:get, "/vehicles/#{each["id"]}/timeline")["sessions"] }
    texts = sessions.flatten.map { |session| session["text"] }
    expect(texts).to include("The rear pads fall due together with the front rotors: do them in one session.")
    expect(texts).to include(/no other axle is due near then/)
  end

  it "uses each vehicle's distance unit in sentences" do
    mule = garage["vehicles"].find { |vehicle| vehicle["name"] == "Mule" }
    # taken apart, the rear says so first; what the readings say of it is in its job
    expect(mule["axles"].last["reasons"].map { |reason| reason["sentence"] }.join).to include("The brake is apart")
    expect(ask(:get, "/jobs/2")["steps"].map { |step| step["text"] }.join).to include("after 50 to 100 mi")
    expect(ask(:get, "/jobs/2")["axles"].first["rotor"]["sides"].map { |side| side["sentence"] }).to all(
      include("above discard")
    )
  end

  it "returns a job's ticked steps and the next mandatory one" do
    job = ask(:get, "/jobs/2")
    keys = job["steps"].map { |step| step["key"] }
    expect(job["ticked"]).to eq(keys.take(job["ticked"].length))
    expect(job["steps"][job["ticked"].length]).to include("key" => "rear.left.piston_home", "mandatory" => true)
  end
end
