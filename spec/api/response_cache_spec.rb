# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/random_owner"

# Answers about a vehicle are cached with the state they were calculated from.
RSpec.describe "Cached pages" do
  include ApiHelper

  # The same household with an empty cache.
  def afresh(**serving)
    alone = Graver::Service::Base::Context::ALONE
    Graver::Service::Base::Context.new(
      store: context.store,
      knowledge: context.knowledge,
      today: -> { Date.iso8601(ApiHelper::TODAY) },
      outlooks: context.outlooks,
      build_digest: "another #{rand}",
      serving: alone.with(**serving)
    )
  end

  def pages
    %w[/garage /timelines] + ["", "/findings", "/timeline"].map { |page| "/vehicles/#{car["id"]}#{page}" } +
      car["axles"].map { |axle| "/axles/#{axle["id"]}/wear" }
  end

  def read(rack, path)
    local = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1" }
    JSON.parse(plain(Rack::MockRequest.new(rack).get("/api/v1#{path}", local).body))
  end

  it "equal freshly calculated ones after any random owner's actions" do
    on_file =
      lambda do
        context
          .store
          .inspections
          .of_vehicle(car["id"])
          .flat_map { |each| each.readings.map { |row| [each.id, row.id] } }
      end
    owner = RandomOwner.new(car, 11, on_file)
    rack = Graver::Boot.rack(context)
    12.times do
      call = owner.call
      ask(*call)
      anew = Graver::Boot.rack(afresh)
      pages.each { |page| expect(read(rack, page)).to eq(read(anew, page)), "#{page} after #{call}" }
    end
  end

  it "follow a job and a choice" do
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("7.4")))
    card = -> { ask(:get, "/garage")["vehicles"].first }
    job = pad_job
    expect(card.call["axles"].first["job"]).to include("id" => job["id"])
    ask(:patch, "/jobs/#{job["id"]}", { state: "cancelled" })
    expect(card.call["axles"].first["job"]).to be_nil
    limit = card.call["axles"].first["limit_mm"]
    ask(:put, "/approaches", { pads: "law" })
    expect(card.call["axles"].first["limit_mm"]).to be < limit
  end

  it "follow an import and its undoing" do
    log = -> { ask(:get, "/vehicles/#{car["id"]}")["log"].length }
    expect(log.call).to eq(0)
    store = context.store
    id = store.imports.add(vehicle_id: car["id"], name: "a.csv", digest: "d", content: "x", at: "t").id
    read = { axle_id: front, part: "pad", side: "left", pad: "inner", method: "caliper", unit: "mm", value: "7.4" }
    odometer = { value: "60100", unit: "km", km: 60_100.0 }
    dated = { vehicle_id: car["id"], date: Date.iso8601("2026-05-02"), odometer:, note: nil, import_id: id }
    store.transaction { store.inspections.add_many([{ **dated, readings: [read] }], at: "t") }
    expect(log.call).to eq(1)
    store.imports.undo(id, at: "t")
    expect(log.call).to eq(0)
  end

  it "end with the day, and with another version of Graver" do
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("7.4")))
    asked =
      lambda do |with|
        Graver::Service::Base::ResponseCache
          .new
          .fetch(with, "card", car["id"]) { "made #{with.today} #{with.build_digest}" }
      end
    as_of =
      lambda do |day, digest|
        with = context.for_request
        allow(with).to receive_messages(today: Date.iso8601(day), build_digest: digest)
        asked.call(with)
      end
    expect([%w[2026-05-16 a], %w[2026-05-16 a], %w[2026-05-17 a], %w[2026-05-17 b]].map { |of| as_of.call(*of) }).to eq(
      ["made 2026-05-16 a", "made 2026-05-16 a", "made 2026-05-17 a", "made 2026-05-17 b"]
    )
  end

  it "limit the garage's wait and mark the rest as being calculated" do
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("7.4")))
    hurried = Graver::Boot.rack(afresh(patience: -1))
    expect(read(hurried, "/garage")["vehicles"]).to contain_exactly(
      include(
        "name" => "Juniper",
        "working" => true,
        "calculated" => false,
        "axles" => [],
        "why" => "Being calculated."
      )
    )
    expect(read(hurried, "/garage?all=1")["vehicles"].first).to include(
      "working" => false,
      "axles" => [be_a(Hash), be_a(Hash)]
    )
    expect(read(hurried, "/garage")["vehicles"].first).to include("working" => false)
    ask(:post, inspections, inspection("2026-05-02", "60100", pad("7.3")))
    expect(read(hurried, "/garage")["vehicles"].first).to include(
      "working" => true,
      "axles" => [be_a(Hash), be_a(Hash)]
    )
    ahead = Graver::API::WorkAhead.new(context, hurried)
    expect([ahead.call { false }, ahead.call { true }, ahead.call { true }]).to eq([true, true, false])
    expect(read(hurried, "/garage")["vehicles"].first).to include("working" => false)
  end

  it "come from the file after a restart, and work when they can't be saved" do
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("7.4")))
    first = ask(:get, "/garage")
    expect(context.store.response_cache.of("card.us", car["id"]).last).to include("Juniper")
    again = DemoFile.context(context.store.backups.instance_variable_get(:@path))
    allow(Graver::Service::Overview::AxleOverview).to receive(:new).and_raise("worked out again")
    expect(read(Graver::Boot.rack(again), "/garage")).to eq(first)
    again.store.close
    allow(Graver::Service::Overview::AxleOverview).to receive(:new).and_call_original
    fresh = afresh
    allow(context.store.response_cache).to receive(:keep).and_raise(Graver::NotSaved, "full")
    expect(read(Graver::Boot.rack(fresh), "/garage")).to eq(first)
  end
end
