# frozen_string_literal: true

require "date"

RSpec.describe Graver::Core::Wear::HistoryBuilder do
  subject(:builder) { KNOWLEDGE.history_builder }

  let(:pads) { specification("pad", %w[left_inner left_outer right_inner right_outer], new_mm: 11.0) }

  def specification(part, components, new_mm: nil, limit_mm: 3.0)
    Graver::Core::Wear::PartSpecification.new(
      part:,
      components:,
      new_mm:,
      limit_mm:,
      backing_mm: nil,
      backing_uncertainty_mm: nil
    )
  end

  def reading(value, part: "pad", method: "caliper")
    Graver::Core::Measurement::Reading.new(
      part:,
      method:,
      value: Graver::Core::Quantity::EnteredNumber.parse(value),
      upper: nil,
      unit: "mm",
      overall: false
    )
  end

  def entry(day, odometer_km, event, value = nil, part: "pad", side: nil, pad: nil, ref: nil)
    Graver::Core::Wear::Entry.new(
      date: Date.new(2025, 1, 1) + day,
      odometer_km: odometer_km.to_f,
      part:,
      side:,
      pad:,
      event:,
      reading: value && reading(value, part:),
      trust: 1.0,
      ref:
    )
  end

  def build(*entries, of: pads) = builder.call(entries, of, as_of_km: 50_000)

  it "sorts readings into the sets they belong to, whatever order they come in" do
    history =
      build(
        entry(300, 30_000, "reading", "9.8", side: "left", pad: "inner"),
        entry(0, 0, "fit", "11"),
        entry(200, 20_000, "fit"),
        entry(100, 10_000, "reading", "6.1", side: "left", pad: "inner")
      )
    expect(history.sets.map { |set| set["left_inner"].observations.map { |seen| seen.thickness.value_mm } }).to eq(
      [[6.1], [9.8]]
    )
    expect(history.sets.map { |set| set["right_outer"].fitted_km }).to eq([0.0, 20_000.0])
  end

  it "keeps the order of one day: old pads read, then new ones fitted and read" do
    history =
      build(
        entry(0, 0, "fit"),
        entry(9, 9000, "reading", "3.1", side: "left", pad: "inner"),
        entry(9, 9000, "fit"),
        entry(9, 9000, "reading", "11", side: "left", pad: "inner")
      )
    expect(history.sets.map { |set| set["left_inner"].observations.map { |seen| seen.thickness.value_mm } }).to eq(
      [[3.1], [11.0]]
    )
  end

  it "restarts a corner renewed alone while the others continue" do
    history =
      build(
        entry(0, 0, "fit"),
        entry(9, 9000, "fit", side: "left"),
        entry(20, 20_000, "reading", "9", side: "right", pad: "inner")
      )
    current = history.sets.last
    expect(current.transform_values(&:fitted_km)).to eq(
      "left_inner" => 9000.0,
      "left_outer" => 9000.0,
      "right_inner" => 0.0,
      "right_outer" => 0.0
    )
    expect(history.sets.first.keys).to eq(%w[left_inner left_outer])
  end

  it "starts from what is known of the new thickness: fitted value, specification, or a typical one with a wide spread" do
    fitted = build(entry(0, 0, "fit", "11.6")).sets.last["left_inner"].new
    stated = build(entry(0, 0, "fit")).sets.last["left_inner"].new
    typical = build(entry(0, 0, "fit"), of: specification("pad", ["left_inner"])).sets.last["left_inner"].new
    expect([fitted.value_mm, stated.value_mm, typical.value_mm]).to eq([11.6, 11.0, 11.0])
    expect([fitted, stated, typical].map(&:standard_uncertainty_mm)).to match([be < 0.2, eq(0.15), eq(1.2)])
    expect(typical.assumed).to eq(["new_thickness"])
  end

  # fact of the trade: rotors are made some whole or half millimetres above their discard thickness, 1 to 3 as a rule;
  # common practice, no source
  it "assumes an unrecorded rotor started one of a few steps above its limit" do
    rotors = specification("rotor", %w[left right], limit_mm: 22.0)
    rotor = build(entry(0, 0, "fit", nil, part: "rotor"), of: rotors).sets.last["left"]
    expect(rotor.choices).to eq([23.0, 23.5, 24.0, 24.5, 25.0])
    # middle and spread of the five: sqrt(0.5)
    expect(rotor.new).to have_attributes(value_mm: 24.0, standard_uncertainty_mm: be_within(1e-9).of(Math.sqrt(0.5)))
    known = build(entry(0, 0, "fit", "24.1", part: "rotor"), of: rotors).sets.last["left"]
    expect([known.choices, known.new.value_mm]).to eq([nil, 24.1])
    expect(build(entry(0, 0, "fit")).sets.last["left_inner"].choices).to be_nil
  end

  # fact of the trade: the unread inner pad is the one that lies; common practice, no source
  it "estimates an unread pad from read ones, uncertain by their loss" do
    history =
      build(
        entry(10, 10_000, "reading", "6", side: "left", pad: "outer"),
        entry(10, 10_000, "reading", "7", side: "right", pad: "outer")
      )
    unread = history.sets.last["left_inner"]
    expect(unread).to have_attributes(fitted_km: 10_000.0, observations: [])
    # mean 6.5 of 11: 4.5 mm gone, three tenths of it
    expect(unread.new).to have_attributes(value_mm: 6.5, standard_uncertainty_mm: be_within(1e-9).of(1.35))
    expect(build.sets).to be_empty
  end

  it "treats events as thicknesses and machining as a fresh start of the rotor" do
    squealer =
      build(entry(0, 0, "fit"), entry(5, 5000, "squealer", side: "left", pad: "inner")).sets.last[
        "left_inner"
      ].observations.first
    # tab height 2 to 3 mm: common practice, no source
    expect(squealer.thickness).to have_attributes(value_mm: 2.5, standard_uncertainty_mm: 0.5)
    turned = [
      entry(0, 0, "fit", "25", part: "rotor"),
      entry(9, 9000, "resurfaced", "24.2", part: "rotor", side: "left"),
      entry(12, 9500, "freed", side: "left")
    ]
    rotor = build(*turned, of: specification("rotor", %w[left right], limit_mm: 23.0))
    expect(rotor.sets.last.transform_values { |fitting| fitting.new.value_mm }).to eq("left" => 24.2, "right" => 25.0)
    expect(rotor.freed).to eq([[9500.0, ["left"]]])
  end

  it "follows the newest readings of a huge log and some of the earlier ones" do
    many = (1..500).map { |n| entry(n, n * 10.0, "reading", "9", side: "left", pad: "inner") }
    followed = build(entry(0, 0, "fit"), *many).sets.last["left_inner"].observations.map(&:distance_km)
    expect(followed.length).to eq(14)
    expect(followed.last(7)).to eq((494..500).map { |n| n * 10.0 })
    expect(followed.first(7)).to eq((0...7).map { |at| (10 + (at * 493 / 7 * 10)).to_f })
  end
end
