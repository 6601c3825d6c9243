# frozen_string_literal: true

require "bcrypt"
require_relative "../support/api_helper"

RSpec.describe "Phone access" do
  include ApiHelper

  let(:lan) { Graver::API::Network.new(address: "192.168.7.20", port: 8321, https: false, fingerprint: nil) }
  let(:phrase) { "four wet brown otters" }

  def app = @app ||= AnsweredRoutes.noting(Graver::Boot.rack(context, lan))

  # As a phone of the network asks: another address, the network's host, its own origin.
  def phone(
    method,
    path,
    body = nil,
    from: "192.168.7.33",
    host: "192.168.7.20:8321",
    cookie: nil,
    origin: "http://#{host}"
  )
    env = {
      "REMOTE_ADDR" => from,
      "HTTP_HOST" => host,
      "HTTP_ORIGIN" => origin,
      "CONTENT_TYPE" => "application/json",
      "HTTP_COOKIE" => cookie,
      :input => body && JSON.generate(body)
    }
    answer = Rack::MockRequest.new(app).request(method.to_s.upcase, "/api/v1#{path}", env.compact)
    [
      answer.status,
      (
        begin
          JSON.parse(answer.body)
        rescue StandardError
          nil
        end
      ),
      answer["set-cookie"].to_s
    ]
  end

  def access(**change) = ask(:patch, "/access", change)
  def kept(cookie) = cookie[/\Agraver_session=[^;]+/]

  # How long a digest takes on purpose says nothing here.
  around do |example|
    usual = BCrypt::Engine.cost
    BCrypt::Engine.cost = BCrypt::Engine::MIN_COST
    example.run
    BCrypt::Engine.cost = usual
  end

  before { access(passphrase: phrase) }

  it "requires the passphrase over the network, for each session" do
    expect(phone(:get, "/garage")[0]).to eq(401)
    expect(phone(:get, "/session")).to match(
      [200, { "local" => false, "signed_in" => false, "person" => nil, "guest" => false }, ""]
    )
    status, problem, = phone(:post, "/session", { passphrase: "four wet brown cats" })
    expect([status, fields(problem)]).to eq([422, { "passphrase" => "refused" }])
    status, answer, cookie = phone(:post, "/session", { passphrase: phrase, device: "Phone" })
    expect([status, answer]).to match([200, include("local" => false, "signed_in" => true, "guest" => false)])
    # sent to this server alone, hidden from scripts
    expect(cookie).to match(/HttpOnly/i).and match(/SameSite=Strict/i)
    expect(phone(:get, "/garage", cookie: kept(cookie))[0]).to eq(200)
    expect(phone(:post, "/vehicles", { name: "Mule", kind: "car" }, cookie: kept(cookie))[0]).to eq(201)
    expect(phone(:get, "/garage", cookie: "graver_session=#{"x" * 43}")[0]).to eq(401)
    expect(phone(:delete, "/session", cookie: kept(cookie))[2]).to include("max-age=0")
    expect(phone(:get, "/garage", cookie: kept(cookie))[0]).to eq(401)
  end

  it "stores digests only, and ends sessions on request, after two weeks or with a new passphrase" do
    cookie = kept(phone(:post, "/session", { passphrase: phrase })[2])
    token = cookie.delete_prefix("graver_session=")
    rows = context.store.instance_variable_get(:@database)[:sessions].all
    expect(rows.to_s).not_to include(token)
    expect(context.store.preferences.all.to_s).not_to include(phrase)
    sessions = ask(:get, "/access")["sessions"]
    expect(sessions).to contain_exactly(include("device" => "A device"))
    begun, ends = sessions.first.values_at("begun_at", "expires_at").map { |time| Time.iso8601(time) }
    expect(ends - begun).to eq(14 * 24 * 3600)
    expect(context.store.sessions.standing(rows.first[:digest], at: (ends + 1).iso8601)).to be_nil
    ask(:delete, "/access/sessions/#{sessions.first["id"]}")
    expect(phone(:get, "/garage", cookie:)[0]).to eq(401)
    second = kept(phone(:post, "/session", { passphrase: phrase })[2])
    access(passphrase: "five dry yellow otters")
    expect(phone(:get, "/garage", cookie: second)[0]).to eq(401)
    expect(phone(:post, "/session", { passphrase: phrase })[0]).to eq(422)
  end

  it "pairs one device by a code valid once for five minutes" do
    pairing = ask(:post, "/access/pairings", {})
    expect(pairing["address"]).to start_with("http://192.168.7.20:8321/#/pair/")
    expect(pairing["modules"]).to all(match(/\A[01]+\z/)).and(
      satisfy { |rows| rows.all? { |row| row.length == rows.length } }
    )
    code = pairing["address"].split("/").last
    expect(context.store.sessions.use_pairing("nothing", at: "2000-01-01")).to be_nil
    status, _, cookie = phone(:post, "/session", { code:, device: "Phone" })
    expect(status).to eq(200)
    expect(phone(:get, "/garage", cookie: kept(cookie))[0]).to eq(200)
    expect(phone(:post, "/session", { code: })[0]).to eq(422)
    late = Digest::SHA256.hexdigest("late")
    context.store.sessions.add_pairing(late, until_at: "2020-01-01T00:00:00Z")
    expect(phone(:post, "/session", { code: "late" })[0]).to eq(422)
    expect(phone(:post, "/session", {})[0]).to eq(422)
  end

  it "makes an address wait after five wrong tries, and no other" do
    5.times { phone(:post, "/session", { passphrase: "wrong guess here" }) }
    status, problem, = phone(:post, "/session", { passphrase: phrase })
    expect([status, problem["error"]["code"]]).to eq([429, "too_often"])
    expect(phone(:post, "/session", { passphrase: phrase }, from: "192.168.7.40")[0]).to eq(200)
  end

  it "makes every address wait after thirty wrong tries of all" do
    29.times { |at| phone(:post, "/session", { passphrase: "wrong guess here" }, from: "192.168.7.#{100 + at}") }
    expect(phone(:post, "/session", { passphrase: "wrong guess here" }, from: "192.168.7.200")[0]).to eq(422)
    expect(phone(:post, "/session", { passphrase: phrase }, from: "192.168.7.201")[0]).to eq(429)
  end

  # OWASP, "Slow down online guessing attacks with device cookies"
  it "locks out no known device and no pairing code while a stranger guesses" do
    mine = kept(phone(:post, "/session", { passphrase: phrase })[2])
    phone(:delete, "/session", cookie: nil)
    access(passphrase: "four dry brown otters")
    code = context.then { |one| Graver::Service::Household::PhoneAccess.new(one).pairing }
    31.times { |at| phone(:post, "/session", { passphrase: "wrong guess here" }, from: "192.168.7.#{100 + at}") }
    again = { passphrase: "four dry brown otters" }
    expect(phone(:post, "/session", again)[0]).to eq(429)
    # its session ended with the old passphrase: the cookie only says that it was here before
    expect(phone(:get, "/garage", cookie: mine)[0]).to eq(401)
    expect(phone(:post, "/session", again, cookie: mine)[0]).to eq(200)
    expect(phone(:post, "/session", { code: }, from: "192.168.7.100")[0]).to eq(200)
    # and a known device has its own few tries
    5.times { phone(:post, "/session", { passphrase: "wrong guess here" }, cookie: mine) }
    expect(phone(:post, "/session", again, cookie: mine)[0]).to eq(429)
  end

  it "voids pairing codes with a new passphrase" do
    code = Graver::Service::Household::PhoneAccess.new(context).pairing
    access(passphrase: "four dry brown otters")
    expect(phone(:post, "/session", { code: })[0]).to eq(422)
  end

  it "sends a session's cookie over HTTPS only, where it signed in so" do
    signed =
      %w[http https].map do |scheme|
        Rack::MockRequest.new(app).post(
          "#{scheme}://192.168.7.20:8321/api/v1/session",
          "REMOTE_ADDR" => "192.168.7.33",
          "HTTP_HOST" => "192.168.7.20:8321",
          "HTTP_ORIGIN" => "#{scheme}://192.168.7.20:8321",
          "CONTENT_TYPE" => "application/json",
          :input => JSON.generate({ passphrase: phrase })
        )[
          "set-cookie"
        ]
      end
    expect(signed.map { |cookie| cookie.match?(/;\s*secure/i) }).to eq([false, true])
  end

  it "allows passphrase, switch and pairing on this machine only, without sign-in" do
    cookie = kept(phone(:post, "/session", { passphrase: phrase })[2])
    [
      [:get, "/access"],
      [:patch, "/access", { wanted: true }],
      [:post, "/access/pairings", {}],
      [:patch, "/access/sessions/1", { guest: false }],
      [:delete, "/access/sessions/1"]
    ].each { |method, path, body| expect(phone(method, path, body, cookie:)[0]).to eq(404), path }
    expect(ask(:get, "/session")).to eq("local" => true, "signed_in" => true, "person" => nil, "guest" => false)
    expect(ask(:get, "/garage")).to have_key("vehicles")
    expect(fields(access(passphrase: "short"))).to eq("passphrase" => "out_of_range")
    expect(fields(access(passphrase: "ä" * 64))).to eq("passphrase" => "out_of_range")
    expect(access(wanted: true)).to include("wanted" => true, "listening" => true, "https" => false)
  end

  it "treats a request without an address as one from the network" do
    bare = Rack::MockRequest.new(app)
    expect(bare.get("/api/v1/garage", "HTTP_HOST" => "127.0.0.1").status).to eq(401)
    car
    before = pages
    Graver::API::WorkAhead.new(context, app).call { true }
    expect(pages).to be > before
  end

  def pages = context.store.instance_variable_get(:@database)[:response_cache].count

  it "accepts its own host names and writes from its own pages only" do
    expect(phone(:get, "/session", host: "evil.example")[0]).to eq(403)
    expect(phone(:post, "/session", { passphrase: phrase }, origin: "http://evil.example")[0]).to eq(400)
    cookie = kept(phone(:post, "/session", { passphrase: phrase })[2])
    { post: "/vehicles", put: "/units", patch: "/vehicles/1", delete: "/session" }.each do |method, path|
      expect(phone(method, path, {}, cookie:, origin: "http://evil.example")[0]).to eq(400), method.to_s
    end
    expect(phone(:get, "/garage", cookie:)[0]).to eq(200)
  end

  describe "when listening on this machine only" do
    let(:lan) { Graver::API::Network::NONE }

    it "accepts no other host name and pairs no device" do
      expect(phone(:get, "/session")[0]).to eq(403)
      expect(fields(ask(:post, "/access/pairings", {}))).to eq("" => "missing")
      expect(ask(:get, "/access")).to include("listening" => false, "address" => nil)
    end
  end

  it "gives calendars of the network what is due by a private address alone, and nothing else by it" do
    ask(:post, "/vehicles", { name: "Juniper", kind: "car", distance_unit: "km" })
    expect(ask(:get, "/calendar-feed")).to eq("path" => nil, "network" => nil)
    feed = ask(:put, "/calendar-feed")
    path = feed["path"].delete_prefix("/api/v1")
    expect(feed["network"]).to eq("http://192.168.7.20:8321#{feed["path"]}")
    calendar =
      Rack::MockRequest.new(app).get(feed["path"], "REMOTE_ADDR" => "192.168.7.33", "HTTP_HOST" => "192.168.7.20:8321")
    expect([calendar.status, calendar["content-type"]]).to match([200, %r{text/calendar}])
    expect(calendar.body).to start_with("BEGIN:VCALENDAR")
    secret = path[%r{feeds/([^/]+)/}, 1]
    expect(phone(:get, "/feeds/#{secret.reverse}/brakes.ics")[0]).to eq(404)
    expect(phone(:delete, path)[0]).to eq(401)
    expect(phone(:get, "/feeds/#{secret}/../../garage")[0]).not_to eq(200)
    expect(phone(:get, "/calendar-feed")[0]).to eq(401)
    ask(:put, "/calendar-feed")
    expect(phone(:get, path)[0]).to eq(404)
    newest = ask(:get, "/calendar-feed")["path"].delete_prefix("/api/v1")
    ask(:delete, "/calendar-feed")
    expect(phone(:get, newest)[0]).to eq(404)
  end

  describe "for several people" do
    def paired(guest: false, person: nil)
      kept(phone(:post, "/session", { code: access_of.pairing(guest:), person: })[2])
    end

    def access_of = Graver::Service::Household::PhoneAccess.new(context)
    def inspect_as(cookie, axle, side)
      reading = {
        axle:,
        part: "pad",
        side:,
        pad: "inner",
        event: "reading",
        method: "caliper",
        unit: "mm",
        values: ["8.1"]
      }
      body = {
        date: context.today.iso8601,
        odometer: {
          value: "120000",
          unit: "km"
        },
        readings: [reading],
        conditions: []
      }
      cookie ? phone(:post, "/vehicles/1/inspections", body, cookie:)[1] : ask(:post, "/vehicles/1/inspections", body)
    end

    let(:axle) { car.fetch("axles").first.fetch("id") }

    it "signs what each device enters with the name of who is at it" do
      axle
      mine = paired(person: "  Ben\n Miller ")
      expect(phone(:get, "/session", cookie: mine)[1]).to include("person" => "Ben Miller")
      expect(ask(:patch, "/session", { person: "Ada" })).to include("local" => true, "person" => "Ada")
      ids = [inspect_as(nil, axle, "left"), inspect_as(mine, axle, "right")].map { |answer| answer.fetch("id") }
      expect(ids.map { |id| ask(:get, "/inspections/#{id}")["done_by"] }).to eq(["Ada", "Ben Miller"])
      # a new name is for what comes
      expect(phone(:patch, "/session", { person: "" }, cookie: mine)[1]).to include("person" => nil)
      void = { void: true, reason: "wrong side" }
      corrected = phone(:post, "/inspections/#{ids[0]}/corrections", void, cookie: mine)[1]
      expect([corrected["done_by"], corrected["corrections"][0]["done_by"]]).to eq(["Ada", nil])
      expect(ask(:get, "/logbook?words=miller")["lines"]).to contain_exactly(include("done_by" => "Ben Miller"))
      expect(fields(ask(:patch, "/session", { person: "x" * 41 }))).to eq("person" => "too_long")
      # a stranger names nobody, least of all this machine's owner
      expect(phone(:patch, "/session", { person: "Mallory" })[0]).to eq(401)
      expect(ask(:get, "/session")["person"]).to eq("Ada")
    end

    it "lets a guest look and change nothing, and never see the household as a file" do
      axle
      guest = paired(guest: true, person: "Visitor")
      expect(phone(:get, "/session", cookie: guest)[1]).to include("guest" => true, "person" => "Visitor")
      expect(%w[/garage /vehicles/1 /logbook].map { |path| phone(:get, path, cookie: guest)[0] }).to all(eq(200))
      expect(phone(:post, "/vehicles/1/inspections/preview", {}, cookie: guest)[0]).not_to eq(403)
      status, problem, = phone(:patch, "/vehicles/1", { name: "Mine" }, cookie: guest)
      expect([status, problem["error"]["code"]]).to eq([403, "guest"])
      expect(inspect_as(guest, axle, "left")["error"]["code"]).to eq("guest")
      expect(phone(:patch, "/session", { person: "Owner" }, cookie: guest)[0]).to eq(403)
      expect(%w[/household.json /household.zip].map { |path| phone(:get, path, cookie: guest)[0] }).to all(eq(404))
      %w[/backups /backups/household.tar /calendar-feed]
        .product(%i[get head])
        .each { |path, verb| expect(phone(verb, path, cookie: guest)[0]).to eq(403), path }
      session = ask(:get, "/access")["sessions"].first
      ask(:patch, "/access/sessions/#{session["id"]}", { guest: false })
      expect(phone(:patch, "/vehicles/1", { name: "Ours" }, cookie: guest)[0]).to eq(200)
      ask(:patch, "/access/sessions/#{session["id"]}", { guest: true })
      expect(phone(:patch, "/vehicles/1", { name: "Mine" }, cookie: guest)[0]).to eq(403)
      expect(phone(:delete, "/session", cookie: guest)[0]).to eq(200)
    end

    it "refuses a guest every command of the API but those that change nothing" do
      axle
      guest = paired(guest: true)
      Graver::API::App::RESOURCES
        .flat_map { |resource| resource.routes.map { |route| [resource, route] } }
        .each do |resource, route|
          next if route.verb == "GET" || resource == Graver::API::Resources::Access

          status = phone(route.verb, route.path.gsub(/:\w+/, "1"), {}, cookie: guest)[0]
          asks = %i[preview_inspection measure_photo answer_drill check_claim].include?(route.action)
          expect(status == 403).to be(!asks), route.action.to_s
        end
    end
  end
end
