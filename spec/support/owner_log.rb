# frozen_string_literal: true

require "yaml"

# Logs as owners write them (spec/reference/logs.yml), each row as "KM WHAT ...": "0 fit 11.2", "20000 pads 8.0 7.9 8.1
# 8.0" (left inner, left outer, right inner, right outer, or leading and trailing; "-" unread), "20000 pads visual 8 7 8 8", "20000 left_inner
# 6.0", "20000 rotors micrometer 22.1 22.0", "20000 squealer left_inner". 12,000 km are driven in a year.
class OwnerLog
  Wear = Graver::Core::Wear
  ROWS = YAML.safe_load_file(File.expand_path("../reference/logs.yml", __dir__)).fetch("logs")
  BEGUN = Date.new(2016, 1, 1)
  PADS = %w[left_inner left_outer right_inner right_outer].freeze
  SHOES = %w[left_leading left_trailing right_leading right_trailing].freeze
  SIDES = %w[left right].freeze
  METHODS = %w[caliper micrometer rule visual percent gauge].freeze
  UNITS = %w[mm 32nd in].freeze
  EVENTS = %w[squealer sensor metal].freeze

  def initialize(row)
    @row = row
    @part = row.fetch("part", "pad")
    lines = row.fetch("log") + weekly(*row["weekly"])
    @entries = lines.each_with_index.flat_map { |line, at| parsed(line, at + 1) }
  end

  # -> Core::Schedule::AxleForecast::Answer
  def answer
    KNOWLEDGE.outlook.call(
      entries: @entries,
      specifications: {
        @part => specification
      },
      as_of_date: day(at_km),
      as_of_km: at_km,
      driving: KNOWLEDGE.outlook.driving(@entries.map { |entry| [entry.date, entry.odometer_km] }.uniq)
    )
  end

  def result = @part == "pad" ? answer.pads : answer.rotors

  private

  # So many services up to a distance on one line.
  def weekly(rate = nil, until_km = nil, count = 0)
    (1..count).map do |at|
      km = until_km * at / count
      "#{km} pads #{Array.new(4) { format("%.2f", 11 - (rate * km)) }.join(" ")}"
    end
  end

  def at_km = @row.fetch("at").to_f
  def day(km) = BEGUN + (km * 365 / 12_000.0).floor

  def pads = @row["kind"] == "drum" ? SHOES : PADS

  def specification
    Wear::PartSpecification.new(
      part: @part,
      components: @part == "pad" ? pads : SIDES,
      new_mm: @row["new"]&.to_f,
      limit_mm: @row.fetch("limit").to_f,
      backing_mm: 5.0,
      backing_uncertainty_mm: nil,
      kind: @row["kind"],
      axle: @row["axle"]
    )
  end

  def parsed(line, at)
    km, what, *rest = line.split
    case what
    when "fit", "resurfaced"
      [entry(km, at, what, value: rest.first)]
    when "freed"
      [entry(km, at, what, side: rest.first)]
    when *EVENTS
      [entry(km, at, what, position: rest.first)]
    else
      readings(km, at, what, rest)
    end
  end

  def readings(km, at, what, rest)
    method = METHODS.include?(rest.first) ? rest.shift : "caliper"
    unit = UNITS.include?(rest.first) ? rest.shift : "mm"
    places = { "pads" => pads, "rotors" => SIDES }.fetch(what, [what])
    places
      .zip(rest)
      .reject { |_, value| value == "-" }
      .map { |position, value| entry(km, at, "reading", position:, value:, method:, unit:) }
  end

  def entry(km, ref, event, position: nil, side: nil, value: nil, method: "caliper", unit: "mm")
    side, pad = position.split("_") if position
    reading = value && reading(value, method, method == "percent" ? "percent" : unit)
    Wear::Entry.new(
      date: day(km.to_f),
      odometer_km: km.to_f,
      part: @part,
      side:,
      pad:,
      event:,
      reading:,
      trust: 1.0,
      ref:
    )
  end

  def reading(value, method, unit)
    lower, upper = value.split("..").map { |text| Graver::Core::Quantity::EnteredNumber.parse(text) }
    Graver::Core::Measurement::Reading.new(part: @part, method:, value: lower, upper:, unit:, overall: false)
  end
end
