# frozen_string_literal: true

require_relative "../support/findings_helper"

# The minimum of the places decides: common practice, no source.
RSpec.describe "Places round a rotor" do
  include FindingsHelper

  let(:reading) do
    fields = Graver::Storage::ReadingRow.members.to_h { |member| [member, nil] }
    Graver::Storage::ReadingRow.new(
      **fields,
      axle_id: 1,
      event: "reading",
      part: "rotor",
      side: "left",
      method: "micrometer",
      unit: "mm",
      overall: false,
      flags: [],
      corrections: []
    )
  end

  def entries(rows)
    inspection =
      instance_double(Graver::Storage::Inspection, readings: rows, date: Date.new(2026, 5, 16), odometer_km: 1.0)
    Graver::Service::Household::LogEntries.call([inspection], 1)
  end

  # In any order, numbered or not, one of them doubted, one in inches: 0.3740 in is 9.4996 mm.
  it "count by the thinnest, in any order" do
    places = [%w[10.1 mm], %w[0.3740 in], %w[10.12 mm], %w[10.1 mm]]
    places
      .permutation
      .to_a
      .product([true, false], [0, 2, nil]) do |order, numbered, doubted|
        rows =
          order.each_with_index.map do |(value, unit), at|
            reading.with(value:, unit:, id: at, place: numbered ? at + 1 : 1, doubt: at == doubted ? "Is it?" : nil)
          end
        expect(entries(rows).map { |entry| entry.reading.value.value.to_f }).to eq([0.374])
        expect(entries(rows).first.trust).to eq(doubted ? 0.5 : 1.0)
      end
  end

  it "are separated by new parts and by tool" do
    rows = [
      reading.with(value: "9.5", place: 1, id: 1),
      reading.with(event: "fit", method: nil, unit: nil, value: nil, place: 1, id: 2),
      reading.with(value: "11.0", place: 1, id: 3),
      reading.with(value: "10", method: "visual", place: 1, id: 4)
    ]
    expect(entries(rows).map { |entry| [entry.event, entry.reading && entry.reading.value.value.to_f] }).to eq(
      [["reading", 9.5], ["fit", nil], ["reading", 11.0], ["reading", 10.0]]
    )
  end

  it "are shown as read, not outweighed by the same day's visual reading" do
    know(front, %w[rotor.new_thickness 12 mm], %w[rotor.discard_thickness 10 mm])
    places = %w[10.1 9.7 10.1 10.1].map { |value| rotor("left", value, answer: "keep") }
    eye = rotor("left", "11", method: "visual")
    ask(:post, inspections, inspection("2026-05-10", "60000", *places, rotor("right", "10.5"), eye))
    expect(rotors).to include("outcome" => "replace", "because" => "thickness")
    expect(plain(rotors["sides"].first["sentence"])).to include("9.70 mm at its thinnest place")
    state = ask(:get, "/vehicles/#{car["id"]}")["axles"].first
    expect(state["reasons"].map { |reason| reason["sentence"] }).to include(/Left rotor: 9\.70? mm on 10 May 2026/)
  end
end
