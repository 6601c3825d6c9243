# frozen_string_literal: true

require_relative "../support/demo_file"

RSpec.describe "The household's services" do
  let(:folder) { Dir.mktmpdir.tap { |folder| FileUtils.cp(DemoFile.path, File.join(folder, "house.sqlite3")) } }
  let(:context) { DemoFile.context(File.join(folder, "house.sqlite3")) }
  let(:overviews) do
    Graver::Service::Overview::VehicleOverviews.new(context).all.to_h { |overview| [overview.vehicle.name, overview] }
  end

  after do
    context.store.close
    FileUtils.rm_rf(folder)
  end

  def axle(vehicle, name) = overviews.fetch(vehicle).axles.find { |each| each.file.axle.name == name }

  it "finds the seized pin, the rotor near its limit, the questioned reading and the fluid overdue" do
    juniper = axle("Juniper", "front")
    expect(juniper.answer.pads.components.min_by { |_, life| life.quantile(0.5) }.first).to eq("left_inner")
    expect(axle("Mule", "front").rotors.verdicts.values.map(&:outcome)).to all(eq("measure_again"))
    doubted = axle("Thistle", "front").answer.pads.doubted
    expect(doubted.length).to eq(1)
    expect(axle("Thistle", "front").judgement.severity).to eq("watch")
    expect(overviews["Thistle"].fluid.overdue_days).to be > 300
  end

  it "has one job planned for Saturday and one half done" do
    jobs = overviews.values.flat_map { |overview| overview.jobs.values.flatten }
    expect(jobs.map { |job| [job.state, job.planned_for.to_s] }).to contain_exactly(
      %w[draft 2026-05-23],
      %w[in_progress 2026-05-16]
    )
  end

  it "carries the odometer on to today and never below the last reading" do
    juniper = axle("Juniper", "front").answer
    expect(juniper.as_of_km).to be_between(100_310, 100_310 + (24 * 60))
    expect(juniper.as_of_date).to eq(Date.new(2026, 5, 16))
  end

  it "counts one reading per position, the thinnest of its places" do
    entries = axle("Juniper", "front").file.entries
    rotors = entries.select { |entry| entry.part == "rotor" && entry.event == "reading" }
    expect(rotors.map { |entry| entry.reading.value.value.to_f }).to eq([23.81, 23.87])
    expect(entries.count { |entry| entry.part == "pad" && entry.event == "reading" }).to eq(16)
  end

  it "never plans below the manufacturer's minimum" do
    file = axle("Juniper", "front").file
    expect(file.limit_mm).to eq(3.0)
    context.store.transaction do
      context.store.brake_data.add(
        file.axle.id,
        [{ key: "pad.discard_thickness", value: "4", unit: "mm", source: "manual" }],
        at: "now"
      )
    end
    expect(Graver::Service::Household::AxleRecords.new(context).find(file.axle.id).limit_mm).to eq(4.0)
  end

  it "rejects a household an owner couldn't have entered" do
    ahead = { "days_ago" => -3, "odometer" => "x", "fit" => ["pad"] }
    household = {
      "vehicles" => [
        {
          "name" => "Odd",
          "kind" => "car",
          "distance_unit" => "km",
          "axles" => {
            "front" => {
              "inspections" => [ahead]
            }
          }
        }
      ]
    }
    expect { Graver::Service::Tables::LoadHousehold.new(context).call(household) }.to raise_error(
      Graver::InvalidEntry,
      /today or an earlier day/
    )
  end

  describe Graver::Service::Base::Wording do
    it "formats figures as people say them, in the owner's unit" do
      tokens = {
        "careful_km" => 15_234.0,
        "chance" => 0.004,
        "limit_mm" => 3.0,
        "discard_mm" => 22.0,
        "side" => "Left",
        "unread_pads" => 2
      }
      expect(
        described_class.new("km").fill(
          "{side}: {careful_km}, {chance}, {limit_mm}, {discard_mm}, {unread_pads}, {nothing}",
          tokens
        )
      ).to eq("Left: 15,000\u00A0km, under 1\u00A0%, 3.0, 22.00, 2, ?")
      expect(Graver::Say::Formats.distance(1_609_344, "mi")).to eq("1,000,000\u00A0mi")
      expect(Graver::Say::Formats.distance(142, "km")).to eq("100\u00A0km")
    end

    it "never says 0 or 100 %, and keeps capitals" do
      said =
        [0.0, 0.009, 0.01, 0.5, 0.99, 0.996, 1.0].map do |chance|
          described_class.new("km").fill("{chance}", "chance" => chance)
        end
      expect(plain(said)).to eq(["under 1 %", "under 1 %", "1 %", "50 %", "99 %", "over 99 %", "over 99 %"])
      expect(
        ["New pads", "JIS cross-head 3", "DOT 4", "Ölfilter", "a"].map { |label| Graver::Typography.inside(label) }
      ).to eq(["new pads", "JIS cross-head 3", "DOT 4", "ölfilter", "a"])
    end

    # common practice, no source: nuts again after 80 to 160 km, which is 50 to 100 miles; bed in from 50 km/h, some
    # 30 mph
    it "converts the trade's distances and speeds to the owner's unit" do
      sentence = "again after {distance:80-160}, from {speed:50}"
      expect(plain(%w[km mi].map { |unit| described_class.new(unit).trade(sentence) })).to eq(
        ["again after 80 to 160 km, from 50 km/h", "again after 50 to 100 mi, from 30 mph"]
      )
    end
  end

  describe Graver::Storage::Jobs do
    it "rebuilds a job from its events" do
      job = context.store.jobs.add(axle_id: 1, procedure: "pads", planned_for: Date.new(2026, 6, 6), at: "1")
      [%w[ticked settle], %w[ticked cool], %w[unticked settle], %w[planned 2026-06-13]].each do |kind, value|
        context.store.jobs.record_event(job.id, kind, value, at: "2")
      end
      expect(context.store.jobs.find(job.id)).to have_attributes(
        state: "draft",
        ticked: ["cool"],
        planned_for: Date.new(2026, 6, 13)
      )
      context.store.jobs.record_event(job.id, "cancelled", at: "3")
      expect(context.store.jobs.of([1]).last).to have_attributes(
        id: job.id,
        state: "cancelled",
        works: {
          1 => ["pads"]
        }
      )
    end
  end
end
