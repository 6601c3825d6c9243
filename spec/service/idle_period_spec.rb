# frozen_string_literal: true

# A vehicle that does not move, seen from its odometer alone.
RSpec.describe Graver::Service::Overview::IdlePeriod do
  def look(day, odometer_km, event = nil)
    readings =
      (
        if event
          [Graver::Storage::ReadingRow.new(**Graver::Storage::ReadingRow.members.to_h { |name| [name, nil] }, event:)]
        else
          []
        end
      )
    Graver::Storage::Inspection.new(
      **Graver::Storage::Inspection.members.to_h { |name| [name, nil] },
      date: Date.iso8601(day),
      odometer_km:,
      readings:
    )
  end

  def measures(*inspections, today: "2026-05-16", unit: "km")
    described_class.measures(inspections, Date.iso8601(today), 100, unit)
  end

  it "returns nothing for a vehicle without a log" do
    expect(measures).to eq({})
  end

  it "counts days since the last entry" do
    expect(measures(look("2026-04-16", 60_000.0, "reading"))).to eq("silent_days" => 30, "silent_since" => "2026-04-16")
    expect(measures(look("2026-04-16", 60_000.0, "reading"), look("2026-05-15", 61_000.0))["silent_days"]).to eq(1)
  end

  it "takes little driving between odometers as standing, the longest spell, in the owner's unit" do
    parked = [
      look("2025-01-10", 60_000.0, "reading"),
      look("2025-02-10", 60_020.0),
      look("2025-09-10", 60_080.5),
      look("2025-10-10", 62_000.0)
    ]
    expect(measures(*parked)).to include(
      "stood_days" => 212,
      "stood_from" => "2025-02-10",
      "stood_until" => "2025-09-10",
      "stood_said" => "61 km"
    )
    expect(measures(*parked, unit: "mi")["stood_said"]).to eq("38 mi")
  end

  it "doesn't take driving for standing, even at the limit" do
    expect(measures(look("2025-01-10", 60_000.0, "reading"), look("2025-09-10", 60_100.0))).not_to include("stood_days")
    expect(measures(look("2025-01-10", 60_000.0, "reading"), look("2025-09-10", 60_099.0))).to include(
      "stood_days" => 243
    )
  end

  it "ends an idle period with an inspection" do
    expect(
      measures(look("2024-01-10", 60_000.0), look("2025-01-10", 60_000.0, "reading"), look("2025-03-10", 63_000.0))
    ).not_to include("stood_days")
    # a new part is no look at the brakes
    expect(
      measures(
        look("2024-01-10", 60_000.0, "reading"),
        look("2025-01-10", 60_000.0, "fit"),
        look("2025-03-10", 63_000.0)
      )
    ).to include("stood_days" => 366)
  end
end
