# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe Graver::Service::Household::Snapshots do
  include ApiHelper

  def snapshot(of = car, english: "us")
    described_class.new(context.for_request(english)).find(of["id"])
  end
  def overview = Graver::Service::Overview::VehicleOverviews.new(context.for_request).find(car["id"])

  before { ask(:post, inspections, inspection("2026-05-01", "60000", pad("8.1"), pad("8.0", pad: "outer"))) }

  it "keeps a vehicle's records and overview between requests while neither changes" do
    before, seen = snapshot, overview
    expect([snapshot.equal?(before), overview.equal?(seen)]).to eq([true, true])
    expect(seen.axles.first.file).to be(before.axles.first)
  end

  it "makes another of the vehicle whose records change, and of no other" do
    other = ask(:post, "/vehicles", { name: "Mule", kind: "car" })
    before = [snapshot, snapshot(other)]
    ask(:post, inspections, inspection("2026-05-16", "61000", pad("7.9")))
    expect([snapshot.equal?(before[0]), snapshot(other).equal?(before[1])]).to eq([false, true])
    expect(snapshot.inspections.map { |each| each.date.iso8601 }).to eq(%w[2026-05-01 2026-05-16])
  end

  it "makes another of every vehicle when what they share changes" do
    before = snapshot
    ask(:put, "/approaches", { pads: "law" })
    expect(snapshot).not_to be(before)
    expect(snapshot.axles.first.limit_mm).to be < before.axles.first.limit_mm
  end

  it "makes another for each English" do
    expect(snapshot(english: "uk")).not_to be(snapshot)
  end

  # The forecast that is stored in between raises one number, the job the other.
  it "keeps the records through changes of a job, and makes another overview" do
    before, seen = snapshot, overview
    pad_job
    expect([snapshot.equal?(before), overview.equal?(seen)]).to eq([true, false])
    expect([seen.jobs.length, overview.jobs.length]).to eq([0, 1])
  end

  it "shows nobody else what a transaction writes and then gives up" do
    request, before = context.for_request, snapshot
    inside = nil
    broken =
      lambda do
        request.store.transaction do
          row = { key: "pad.service_limit", value: "7", unit: "mm", source: "own" }
          request.store.brake_data.add(front, [row], at: "t")
          inside = described_class.new(request).find(car["id"]).axles.first.limit_mm
          raise "given up"
        end
      end
    expect { broken.call }.to raise_error("given up")
    expect([inside, snapshot.equal?(before)]).to eq([7.0, true])
    know(front, %w[pad.service_limit 6 mm])
    expect(snapshot.axles.first.limit_mm).to eq(6.0)
  end

  it "follows another connection's change" do
    before = snapshot
    other = Graver::Storage::Store.open(context.store.backups.household)
    other.vehicles.change(car["id"], name: "June")
    other.close
    expect([before.vehicle.name, snapshot.vehicle.name]).to eq(%w[Juniper June])
  end

  it "holds no more readings in memory than its share, and always the newest" do
    cache = Graver::Service::Base::LruCache.new(5) { |each| each }
    { a: 3, b: 2, c: 4, d: 9 }.each { |key, weight| cache[key] = weight }
    expect(%i[a b c d].map { |key| cache[key] }).to eq([nil, nil, nil, 9])
  end
end
