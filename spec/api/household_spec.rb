# frozen_string_literal: true

require "pdf/reader"
require_relative "../support/api_helper"

RSpec.describe "The API" do
  include ApiHelper

  it "answers health, catalogue and an empty garage" do
    expect(ask(:get, "/health")).to eq("status" => "ok")
    expect(ask(:get, "/catalogue")["methods"].map { |method| method["id"] }).to include("gauge", "percent")
    expect(ask(:get, "/garage")).to eq("today" => ApiHelper::TODAY, "vehicles" => [])
  end

  it "adds vehicles with axles, a motorcycle with its discs" do
    expect(car["axles"].map { |axle| [axle["name"], axle["sides"]] }).to eq(
      [["front", %w[left right]], ["rear", %w[left right]]]
    )
    bike =
      ask(
        :post,
        "/vehicles",
        { name: "Wren", kind: "motorcycle", discs: { front: 2, rear: 1 }, disc_sides: { front: "left", rear: "right" } }
      )
    expect(bike["axles"].map { |axle| axle["sides"] }).to eq([%w[left right], %w[right]])
  end

  it "lists vehicles with their drafts and jobs in progress" do
    place = -> { ask(:get, "/places")["vehicles"].find { |each| each["id"] == car["id"] } }
    axles = car["axles"]
    expect(place.call).to include("name" => "Juniper", "check" => nil, "job" => nil)
    expect(place.call["axles"]).to eq(axles.map { |axle| axle.slice("id", "name") })
    ask(:put, "/vehicles/#{car["id"]}/draft", { revision: 0, content: { odometer: "1" } })
    expect(place.call["check"]).to start_with("20")
    ask(:patch, "/vehicles/#{car["id"]}", { archived: true })
    expect(place.call).to be_nil
  end

  it "changes, archives and restores a vehicle" do
    expect(ask(:get, "/axles/#{front}/brake-data")["others"].map { |other| other["label"] }).to include("Juniper, rear")
    expect(ask(:get, "/axles/#{front}/brake-data")["others"].map { |other| other["label"] }).not_to include(
      "Juniper, front"
    )
    expect(fields(ask(:patch, "/vehicles/#{car["id"]}", { name: " " }))).to eq("name" => "invalid")
    ask(:patch, "/vehicles/#{car["id"]}", { name: "Juniper II", archived: true })
    expect(ask(:get, "/garage")["vehicles"]).to be_empty
    expect(ask(:patch, "/vehicles/#{car["id"]}", { archived: false })).to include(
      "name" => "Juniper II",
      "archived" => false
    )
  end

  it "rejects a vehicle by field" do
    expect(fields(ask(:post, "/vehicles", { name: "  ", kind: "car" }))).to eq("name" => "invalid")
    expect(fields(ask(:post, "/vehicles", { name: "x" * 61, kind: "spaceship" })).keys).to contain_exactly(
      "name",
      "kind"
    )
    expect(status).to eq(422)
  end

  it "rejects invalid JSON, too large a body and another origin" do
    header "Content-Type", "application/json"
    header "Host", "localhost:8321"
    {
      "{" => 400,
      "[]" => 400,
      "\xFF" => 400,
      '{"name":"a\u0000b","kind":"car"}' => 400,
      "{\"name\":\"#{"x" * 300_000}\"}" => 413,
      ("[" * 200) => 400
    }.each do |body, code|
      post "/api/v1/vehicles", body
      expect([last_response.status, JSON.parse(last_response.body)["error"].keys]).to eq(
        [code, %w[code message fields]]
      )
    end
    header "Origin", "http://elsewhere.example"
    post "/api/v1/vehicles", "{}"
    expect(last_response.status).to eq(400)
  end

  it "answers 404 in the same shape, without a trace" do
    %w[
      /vehicles/999
      /vehicles/abc
      /axles/999/wear
      /axles/0/job-card
      /jobs/7
      /nothing
      /axles/99999999999999999999/draft
      /vehicles/1%0a
    ].each do |path|
      expect(ask(:get, path)["error"]).to include("code" => "not_found", "fields" => [])
      expect(status).to eq(404)
    end
  end

  it "reveals nothing when something breaks" do
    allow(context.store).to receive(:repository).and_raise("the secret of the house")
    expect { ask(:get, "/garage") }.to output(/secret/).to_stderr
    expect([status, last_response.body]).to match([500, satisfy { |body| !body.include?("secret") }])
  end

  it "logs fluid changes and returns the next due date" do
    answer = ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: "2024-03-16", odometer: { value: "61200" } })
    # every two years: common practice, no source
    expect(answer["fluid"].except("circuits")).to eq(
      "renewed_on" => "2024-03-16",
      "due_on" => "2026-03-16",
      "overdue_days" => 61,
      "estimated" => false
    )
    expect(
      fields(
        ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: "2026-05-17", odometer: { value: "6x" } })
      ).keys
    ).to contain_exactly("date", "odometer.value")
  end

  it "serves the interface with a policy against inline scripts" do
    header "Host", "localhost"
    get "/"
    expect(last_response.headers["content-security-policy"]).to include("default-src 'self'", "script-src 'self'").and(
      satisfy { |policy| !policy.match?(/script-src[^;]*unsafe/) }
    )
    # what it tells with the page is never taken for what it was, nor cut
    header "If-Modified-Since", Time.utc(2099).httpdate
    header "Range", "bytes=0-9"
    %w[/ /index.html].each do |path|
      get path
      expect([last_response.status, last_response.headers["last-modified"]]).to eq([200, nil])
      expect(last_response.body).to match(
        %r{<html data-english="&quot;us&quot;" data-remote="false" data-units="[^"]*mm[^"]*" .*</html>}m
      )
    end
    post "/"
    expect(last_response.status).to eq(405)
    get "/../Gemfile"
    expect(last_response.status).to eq(404)
    header "Host", "rebound.example"
    get "/api/v1/garage"
    expect(last_response.status).to eq(403)
  end

  it "covers every path it documents" do
    documented =
      YAML.safe_load_file(File.join(Graver::Boot::ROOT, "openapi/graver.yml"))["paths"].flat_map do |path, item|
        (item.keys & %w[get post put patch delete]).map { |verb| [verb.upcase, path.gsub(/\{(\w+)\}/, ':\1')] }
      end
    served =
      Graver::API::App.routes.except("HEAD").flat_map { |verb, routes| routes.map { |route| [verb, route.first.to_s] } }
    expect(served).to match_array(documented)
  end

  describe "its English" do
    def speak(english) = ask(:put, "/vocabulary", { english: })
    def paper(job)
      get "/api/v1/jobs/#{job}/sheet.pdf"
      PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join
    end

    it "speaks American or British English in answers, errors, on paper and in the calendar, but not in ids" do
      expect(ask(:get, "/vocabulary")).to include("english" => "us")
      speak("welsh")
      expect([status, last_response.body]).to match([422, include("us or uk")])
      job = ask(:post, "/axles/#{front}/jobs", {})["id"]
      expect(paper(job)).to match(/\brotors?\b/i)
      expect(speak("uk")).to include("english" => "uk")
      fields = ask(:get, "/axles/#{front}/brake-data")["fields"]
      data = fields.find { |field| field["key"] == "rotor.discard_thickness" }
      expect(data.values.grep(String).grep(/rotor/i)).to contain_exactly("rotor.discard_thickness", "rotors")
      expect(fields.map { |field| field["label"] }).to include("Wheel nuts per wheel")
      expect(ask(:get, "/help")["terms"].map { |term| term["term"] }).to include("Disc", "Vented disc")
      expect(paper(job)).to match(/\bdiscs?\b/i)
      expect(paper(job)).not_to match(/\brotors?\b/i)
      ask(:post, "/axles/#{front}/jobs", { scope: { axles: 1 } })
      ask(:patch, "/jobs/#{job}", { state: "in_progress" })
      expect(last_response.body).not_to match(/\brotors?\b(?![_."])/i)
    end

    it "follows the browser's language until it is chosen" do
      {
        "de-DE,de;q=0.9" => "uk",
        "en-GB" => "uk",
        "en-US,en;q=0.9" => "us",
        "en" => "us",
        "*" => "us"
      }.each do |asked, is|
        header "Accept-Language", asked
        expect(ask(:get, "/vocabulary")).to include("english" => is), asked
        get "/"
        expect(last_response.body).to include("data-english=\"&quot;#{is}&quot;\"")
      end
      speak("us")
      header "Accept-Language", "en-GB"
      expect(ask(:get, "/vocabulary")).to include("english" => "us")
    end

    it "never changes owners' texts, part numbers or citations" do
      typed = "Rotor 288-A: wheel nut, axle stand, tire and tyre <disc|rotor>"
      car_id = ask(:post, "/vehicles", { name: "Rotor Wagon", kind: "car", distance_unit: "km" })["id"]
      ask(:post, "/vehicles/#{car_id}/follow-ups", { text: typed })
      ask(:post, "/vehicles/#{car_id}/planned-events", { kind: "inspection", name: typed, from: "2026-08-01" })
      ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *sound_axles).merge(note: typed))
      stocked = {
        kind: "part",
        item: "rotor",
        axle: front,
        name: "Rotor 288-A",
        number: "ROTOR-288 tire",
        lead_days: 2
      }
      ask(:post, "/supplies", stocked)
      know(front, ["caliper.kind", "floating_slide_pins", nil])
      job = ask(:post, "/axles/#{front}/jobs", {})["id"]
      ask(:post, "/jobs/#{job}/notes", { step: "front.chock", text: typed })
      cited = KNOWLEDGE.source_title("cfr-49-393-47")
      expect(cited).to include("drums/rotors")
      %w[us uk].each do |english|
        speak(english)
        vehicle = ask(:get, "/vehicles/#{car_id}")
        expect([vehicle["name"], vehicle["follow_ups"].map { |each| each["text"] }]).to eq(["Rotor Wagon", [typed]])
        expect(ask(:get, "/vehicles/#{car["id"]}")["log"].map { |entry| entry["note"] }).to include(typed)
        expect(ask(:get, "/supplies")["rows"].map { |row| row["supply"] }).to contain_exactly(
          include(stocked.slice(:name, :number).transform_keys(&:to_s))
        )
        expect(
          ask(:get, "/jobs/#{job}")["steps"].find { |each| each["key"] == "front.chock" }["notes"].to_s
        ).to include(typed)
        get "/api/v1/calendar.ics"
        expect(last_response.body.gsub("\r\n ", "")).to include(typed.gsub(",", "\\,"))
        expect(last_response.body).to include("Rotor Wagon")
        expect(KNOWLEDGE.in(english).source_title("cfr-49-393-47")).to eq(cited)
      end
    end
  end

  it "keeps what an owner notes of a vehicle, and prints it on a job's sheet" do
    noted = { make: "Fernhill", model: "Estate", year: "2009", plate: " FH 09 ", vin: "" }
    expect(ask(:patch, "/vehicles/#{car["id"]}", noted)).to include(
      "make" => "Fernhill",
      "plate" => "FH 09",
      "vin" => nil
    )
    job = ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-23" })
    expect(job["vehicle"]["noted"]).to eq("2009 Fernhill Estate, FH 09")
    expect(fields(ask(:patch, "/vehicles/#{car["id"]}", { vin: "V" * 61 }))).to have_key("vin")
    ask(:patch, "/vehicles/#{car["id"]}", noted.transform_values { nil })
    expect(ask(:get, "/jobs/#{job["id"]}")["vehicle"]["noted"]).to be_nil
  end

  it "keeps default units and sends them with the page" do
    units = ->(answer) { answer.except("revision") }
    expect(units[ask(:get, "/units")]).to eq("pad" => "mm", "rotor" => "mm", "torque" => "N·m")
    expect(units[ask(:put, "/units", { torque: "lbf·ft" })]).to eq("pad" => "mm", "rotor" => "mm", "torque" => "lbf·ft")
    expect(fields(ask(:put, "/units", { rotor: "32nd", torque: "N·m" })).keys).to eq(["rotor"])
    expect(units[ask(:get, "/units")]).to eq("pad" => "mm", "rotor" => "mm", "torque" => "lbf·ft")
    ask(:put, "/vocabulary", { english: "uk" })
    told = Graver::Boot.page_data(context, { "REMOTE_ADDR" => "192.168.7.9" })
    expect(told).to eq("english" => "uk", "remote" => true, "units" => units[ask(:get, "/units")])
  end
end
