# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/camera"
require_relative "stranger"

RSpec.describe "What Graver hands out, checked by strangers", :demo do
  include ApiHelper

  def fetch(path)
    get("/api/v1#{path}", {}, { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1" })
    expect(status).to eq(200)
    last_response.body
  end

  def file(name, bytes) = File.join(household, name).tap { |path| File.binwrite(path, bytes) }
  def household = File.dirname(context.store.backups.household)
  def cars = ask(:get, "/garage")["vehicles"]

  # qpdf 11 and poppler's pdftotext 22
  it "qpdf finds no fault with a sheet or card, and pdftotext reads every torque on them" do
    torques = ask(:get, "/jobs/1")["torque"].filter_map { |line| line["newton_metres"] && line["entered"] }
    # on the wall card the figure is too large to share a line with its unit
    said = {
      "sheet" => torques.map { |entered| plain(entered) },
      "card" => torques.map { |entered| entered[/[\d.]+/] }
    }
    %w[sheet card]
      .product(%w[a4 letter])
      .each do |page, paper|
        path = file("#{page}-#{paper}.pdf", fetch("/jobs/1/#{page}.pdf?paper=#{paper}"))
        expect(Stranger.run("qpdf", "--check", path)).to include("No syntax or stream encoding errors found")
        text = plain(Stranger.run("pdftotext", "-layout", path, "-"))
        expect(said[page].reject { |entered| text.include?(entered) }).to be_empty, "#{page} #{paper}"
        size = Stranger.run("pdfinfo", path)[/Page size: +(.+)/, 1]
        expect(size).to include(paper == "a4" ? "A4" : "letter")
      end
  end

  # python3-icalendar 4
  it "another calendar library reads the same days and titles, each event once" do
    events = Stranger.python(<<~PY, fetch("/calendar.ics"))
      from icalendar import Calendar
      events = [e for e in Calendar.from_ical(given).walk("VEVENT")]
      print(json.dumps([[str(e["uid"]), str(e["dtstart"].dt)[:10], str(e["summary"])] for e in events]))
    PY
    expected = cars.flat_map { |car| ask(:get, "/vehicles/#{car["id"]}/timeline")["events"] }
    expect(events.map(&:first).uniq.length).to eq(events.length).and(be > 5)
    expect(events.map { |_, day, _| day }.sort).to all(be_in_days(expected))
  end

  matcher(:be_in_days) do |events|
    match { |day| events.any? { |event| day.between?(event["date"], event["until"] || "9999") } }
  end

  # Python's own csv module
  it "another language's reader finds the rows and columns of the tables" do
    car = cars.first
    table =
      Stranger.python(
        "import csv, io\nprint(json.dumps(list(csv.reader(io.StringIO(given)))))",
        fetch("/vehicles/#{car["id"]}/log.csv")
      )
    expect(table.map(&:length).uniq).to eq([table.first.length])
    logged = ask(:get, "/vehicles/#{car["id"]}")["log"].map { |entry| entry["date"] }.uniq
    expect(table.drop(1).map { |row| row[table.first.index("date")] }.uniq).to match_array(logged)
    parts =
      Stranger.python(
        "import csv, io\nprint(json.dumps(list(csv.reader(io.StringIO(given)))))",
        fetch("/jobs/1/parts.csv")
      )
    expect(parts.map(&:length).uniq).to eq([parts.first.length])
  end

  # ExifTool 12
  it "exiftool finds no place, camera or owner in a photo that is kept" do
    given = Camera.photo(orientation: 6)
    before = JSON.parse(Stranger.run("exiftool", "-json", "-G", file("given.jpg", given))).first
    expect(before.keys.grep(/GPS/)).not_to be_empty
    kept = context.store.pictures.keep(given)
    path = Dir.glob(File.join(household, "*-photos", "**", "#{kept.digest}*")).first
    after = JSON.parse(Stranger.run("exiftool", "-json", "-G", path)).first
    expect(after.keys.grep(/\A(EXIF|XMP|IPTC|MakerNotes|Photoshop|Composite:GPS)/)).to be_empty
    expect(after.values_at("File:ImageWidth", "File:ImageHeight")).to eq([16, 32])
  end

  # ZBar 0.23
  it "zbarimg reads the pairing code as it is drawn" do
    lan = Graver::API::Network.new(address: "192.168.7.20", port: 8321, https: true, fingerprint: nil)
    rack = Graver::Boot.rack(context, lan)
    local = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1", "CONTENT_TYPE" => "application/json" }
    send =
      lambda do |verb, path, body|
        JSON.parse(
          Rack::MockRequest.new(rack).request(verb, "/api/v1#{path}", **local, input: JSON.generate(body)).body
        )
      end
    send["PATCH", "/access", { passphrase: "four wet brown otters" }]
    pairing = send["POST", "/access/pairings", {}]
    rows = pairing["modules"]
    size = (rows.length + 8) * 6
    quiet = "0" * (rows.length + 8)
    picture = [*[quiet] * 4, *rows.map { |row| "0000#{row}0000" }, *[quiet] * 4]
    bitmap = picture.flat_map { |row| [row.chars.flat_map { |bit| [bit] * 6 }.join(" ")] * 6 }.join("\n")
    found = Stranger.run("zbarimg", "--quiet", "--raw", file("code.pbm", "P1 #{size} #{size}\n#{bitmap}\n"))
    expect(found.strip).to eq(pairing["address"])
  end

  def verified(made, address)
    _, status = Open3.capture2e("openssl", "verify", "-CAfile", made.path, "-verify_ip", address, made.path)
    status.success?
  end

  # OpenSSL 3
  it "openssl verifies the certificate for its own address, and no other" do
    made = Graver::Storage::Certificate.new(File.join(household, "graver.sqlite3"), Time.now.utc).for("192.168.7.20")
    expect([verified(made, "192.168.7.20"), verified(made, "192.168.7.21")]).to eq([true, false])
    printed = Stranger.run("openssl", "x509", "-in", made.path, "-noout", "-fingerprint", "-sha256", "-dates")
    expect(printed.delete(":").downcase).to include(made.fingerprint.delete(": ").downcase)
    expect(Stranger.run("openssl", "x509", "-in", made.path, "-noout", "-checkend", (300 * 86_400).to_s)).to include(
      "will not expire"
    )
    pair = [%w[x509 -pubkey -noout -in] + [made.path], %w[pkey -pubout -in] + [made.key_path]]
    expect(pair.map { |arguments| Stranger.run("openssl", *arguments) }.uniq.length).to eq(1)
  end

  # @apidevtools/swagger-parser 10
  it "an OpenAPI validator accepts the description of the API" do
    script =
      "require('@apidevtools/swagger-parser').validate('../openapi/graver.yml').then((found) => console.log(Object.keys(found.paths).length))"
    routes = Graver::API::App::RESOURCES.flat_map(&:routes).map(&:path).uniq.length
    expect(Stranger.run("node", "-e", script, chdir: File.join(Graver::Boot::ROOT, "web")).to_i).to eq(routes)
  end
end
