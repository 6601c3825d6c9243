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

  it "adds vehicles with their axles, a motorcycle with its discs" do
    expect(car["axles"].map { |axle| [axle["name"], axle["sides"]] }).to eq(
      [["front", %w[left right]], ["rear", %w[left right]]]
    )
    bike = ask(:post, "/vehicles", { name: "Wren", kind: "motorcycle", discs: { front: 2, rear: 1 } })
    expect(bike["axles"].map { |axle| axle["sides"] }).to eq([%w[left right], %w[left]])
  end

  it "says where there is to go, and what was begun and waits" do
    place = -> { ask(:get, "/places")["vehicles"].find { |each| each["id"] == car["id"] } }
    axles = car["axles"]
    expect(place.call).to include("name" => "Juniper", "check" => nil, "job" => nil)
    expect(place.call["axles"]).to eq(axles.map { |axle| axle.slice("id", "name") })
    ask(:put, "/vehicles/#{car["id"]}/draft", { revision: 0, content: { odometer: "1" } })
    expect(place.call["check"]).to start_with("20")
    ask(:patch, "/vehicles/#{car["id"]}", { archived: true })
    expect(place.call).to be_nil
  end

  it "changes and puts away a vehicle, and takes it back" do
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

  it "refuses a vehicle field by field, in one shape" do
    expect(fields(ask(:post, "/vehicles", { name: "  ", kind: "car" }))).to eq("name" => "invalid")
    expect(fields(ask(:post, "/vehicles", { name: "x" * 61, kind: "spaceship" })).keys).to contain_exactly(
      "name",
      "kind"
    )
    expect(status).to eq(422)
  end

  it "refuses what is no JSON, too much of it, or comes from elsewhere" do
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

  it "answers 404 in the same shape, never with a trace" do
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

  it "says nothing of the inside when something breaks" do
    allow(context.store).to receive(:repository).and_raise("the secret of the house")
    expect { ask(:get, "/garage") }.to output(/secret/).to_stderr
    expect([status, last_response.body]).to match([500, satisfy { |body| !body.include?("secret") }])
  end

  it "notes fluid renewals and says when the next is due" do
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

  it "serves the interface with a policy that lets no inline script run" do
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
      expect(last_response.body).to match(%r{<html data-words="{}" data-units="[^"]*mm[^"]*" .*</html>}m)
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

  it "speaks in the household's words: answers, errors, paper and calendar; ids and files keep theirs" do
    expect(ask(:get, "/vocabulary")).to eq("rotor" => "rotor")
    ask(:put, "/vocabulary", { rotor: "wheel plate" })
    expect([status, last_response.body]).to match([422, include("rotor or disc")])
    expect(ask(:put, "/vocabulary", { rotor: "disc" })).to eq("rotor" => "disc")
    data = ask(:get, "/axles/#{front}/brake-data")["fields"].find { |field| field["key"] == "rotor.discard_thickness" }
    expect(data.values.grep(String).grep(/rotor/i)).to contain_exactly("rotor.discard_thickness", "rotors")
    expect(ask(:get, "/help")["terms"].map { |term| term["term"] }).to include("Disc", "Vented disc")
    ask(:post, "/vehicles/#{car["id"]}/planned-events", { kind: "inspection", name: "Rotor check", from: "2026-08-01" })
    get "/api/v1/calendar.ics"
    expect(last_response.body).to include("Disc check")
    job = ask(:post, "/axles/#{front}/jobs", {})["id"]
    get "/api/v1/jobs/#{job}/sheet.pdf"
    paper = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join
    expect(paper).to match(/\bdiscs?\b/i)
    expect(paper).not_to match(/\brotors?\b/i)
  end

  it "keeps the units usually entered in, each by itself, and tells the screens with their page" do
    expect(ask(:get, "/units")).to eq("length" => "mm", "torque" => "N·m")
    expect(ask(:put, "/units", { torque: "lbf·ft" })).to eq("length" => "mm", "torque" => "lbf·ft")
    expect(fields(ask(:put, "/units", { length: "ell", torque: "N·m" })).keys).to eq(["length"])
    expect(ask(:get, "/units")).to eq("length" => "mm", "torque" => "lbf·ft")
    ask(:put, "/vocabulary", { rotor: "disc" })
    expect(Graver::Boot.page_data(context)).to eq("words" => { "rotor" => "disc" }, "units" => ask(:get, "/units"))
  end
end
