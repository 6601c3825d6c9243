# frozen_string_literal: true

require_relative "../support/api_helper"

# Whatever an address or a body holds: an answer that says what is wrong, never one of ours that failed.
RSpec.describe "Hostile requests" do
  include ApiHelper

  before { car }

  def send_raw(verb, path, body = nil, type: "application/json")
    header "Host", "127.0.0.1"
    header "Content-Type", type
    public_send(verb, "/api/v1#{path}", *[body].compact)
    status
  end

  it "with invalid bytes in the address, on every route" do
    routes = Graver::API::App::RESOURCES.flat_map(&:routes).select { |route| route.path.include?(":") }
    ["%ff", "%00", "%c3%28", "9" * 30, "-1", "1.5", "a%0ab"].product(routes)
      .each do |bad, route|
        path = route.path.gsub(/:\w+/, bad)
        code = send_raw(route.verb.downcase, path, route.verb == "GET" ? nil : "{}")
        expect(code).to be_between(400, 499), "#{code} for #{route.verb} #{path}"
      end
  end

  it "with invalid bytes in parameters and file names" do
    asked =
      %w[year_distance use factor freed pads pads_mm].map { |name| "/axles/#{front}/what-if?#{name}=" } +
        ["/axles/#{front}/torque-settings?extension_mm=", "/axles/#{front}/wear?limit="]
    asked.product(%w[%ff a%00b]).each { |path, bad| expect([path, send_raw(:get, path + bad)]).to eq([path, 400]) }
    table = "date,odometer\n2025-01-01,100\n"
    codes =
      %w[%ff a%00b a%0ab mine.csv].map do |name|
        send_raw(:post, "/vehicles/#{car["id"]}/imports?name=#{name}", table, type: "text/csv")
      end
    expect(codes).to eq([400, 400, 422, 201])
  end

  it "with control characters in a name" do
    names = ["a\u0007b", "a\nb", "a\u001b[31m", "\u007f"]
    expect(names.map { |name| fields(ask(:post, "/vehicles", { name:, kind: "car" })) }).to all(eq("name" => "invalid"))
    kept =
      ask(:post, "/vehicles/#{car["id"]}/inspections", inspection("2026-05-01", "60000", pad("7"), note: "two\nlines"))
    expect([status, kept["error"]]).to eq([201, nil])
  end

  it "as an inspection of runout or parking shoes only" do
    read = { axle: front, side: "left", event: "reading", unit: "mm" }
    [
      { part: "runout", method: "dial", values: ["0.03"] },
      { part: "shoe", method: "caliper", values: ["3"] }
    ].each do |what|
      seen =
        ask(:post, "/vehicles/#{car["id"]}/inspections/preview", inspection("2026-05-01", "60000", { **read, **what }))
      expect(seen).to include("faults" => [], "positions" => [include("mm" => what[:values].first.to_f)])
    end
  end

  it "returns answers that other sites can't show or load" do
    send_raw(:get, "/garage")
    expect(last_response.headers).to include(
      "content-security-policy" => /frame-ancestors 'none'/,
      "cross-origin-resource-policy" => "same-origin",
      "x-content-type-options" => "nosniff"
    )
  end

  # OWASP, CSV injection (from memory): texts that begin with = + - @, tab or carriage return are run as formulas, also
  # behind a separator that the spreadsheet takes for its own
  it "exports no formula and imports the table unchanged" do
    notes = ["=HYPERLINK(\"x\")", "+1", "-2", "@SUM(A1)", "plain, 'quoted'", "so; =1", "a;=1+1;'-2"]
    notes.each_with_index do |note, at|
      ask(:post, inspections, inspection("2026-04-0#{at + 1}", (60_000 + at).to_s, pad("7"), note:))
    end
    get "/api/v1/vehicles/#{car["id"]}/log.csv"
    text = last_response.body
    cells = CSV.parse(text, headers: true).map { |row| row["note"] }
    expect(cells).to eq(notes.first(4).map { |note| "'#{note}" } + [*notes[4, 2], "a;'=1+1;''-2"])
    expect(CSV.parse(text).drop(1).flatten.compact.flat_map { |cell| cell.split(/[;\t|\r\n]/) }).not_to include(
      match(/\A[=+\-@]/)
    )
    expect(cells.map { |cell| Graver::LogFormat::CsvText.plain(cell) }).to eq(notes)
  end
end
