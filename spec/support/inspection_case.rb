# frozen_string_literal: true

require "yaml"
require_relative "api_helper"

# One row of spec/reference/inspections.yml, entered as an owner would and judged.
module InspectionCase
  TABLE = YAML.safe_load_file(File.join(__dir__, "../reference/inspections.yml"))
  EVENTS = %w[metal squealer sensor].freeze
  FITTED = { date: "2023-05-16", km: "20000" }.freeze
  KNOWN = {
    "pad.new_thickness" => [11, "mm"],
    "rotor.new_thickness" => [25, "mm"],
    "rotor.discard_thickness" => [22, "mm"],
    "caliper.kind" => ["floating_slide_pins", nil]
  }.freeze
  REAR = {
    "pad.new_thickness" => [11, "mm"],
    "rotor.new_thickness" => [10, "mm"],
    "rotor.discard_thickness" => [8, "mm"]
  }.freeze
  FIGURES = { "fluid" => "fluid_level", "fluid_age" => "fluid_age", "moisture" => "fluid_moisture" }.freeze

  def self.included(base) = base.include(ApiHelper)

  # -> { word:, vehicle_word:, works:, rotor:, must: }
  def judge(row)
    enter(row)
    vehicle = ask(:get, "/vehicles/#{car["id"]}")
    job = ask(:get, "/axles/#{front}/job-plan")
    scope = job["scope"]["axles"].find { |axle| axle["id"] == front }
    rotor = { rotor: job["axles"].first["rotor"]["outcome"], must: scope["rotors"]["must"] }
    { word: severity(vehicle["axles"].first), vehicle_word: severity(vehicle), works: works(scope), **rotor }
  end

  def enter(row)
    @car = ask(:post, "/vehicles", { name: "Juniper", kind: row.fetch("kind", "car") })
    data(front, KNOWN.merge(row.fetch("data", {})))
    data(rear, row.key?("kind") ? REAR.merge(row.fetch("data")) : REAR)
    fit(row.fetch("rotors_fitted", true) ? %w[pad rotor] : %w[pad])
    [row["before"]].flatten.compact.each { |earlier| inspect(earlier, earlier.fetch("date"), earlier.fetch("km").to_s) }
    inspect({ "pads" => [8, 8, 8, 8], "rotors" => [24.6, 24.6], **row }, ApiHelper::TODAY, "50000")
  end

  private

  def severity(judged) = judged["state"]["severity"]

  def fit(parts)
    fits = [front, rear].product(parts).map { |axle, part| { axle:, part:, event: "fit" } }
    post_inspection(FITTED[:date], FITTED[:km], fits, [])
  end

  def sides(axle) = car.fetch("axles").find { |each| each["id"] == axle }.fetch("sides")
  def positions(axle) = sides(axle).product(%w[inner outer])
  def rear = car.fetch("axles").last.fetch("id")

  def data(axle, entries)
    known = entries.compact
    rows = known.map { |key, (value, unit)| { key:, value: value.to_s, unit:, source: "manual" } }
    ask(:post, "/axles/#{axle}/brake-data", { entries: rows })
    raise last_response.body unless last_response.successful?
  end

  def inspect(row, date, odometer)
    thickness = row["fitted_today"]
    new = { axle: front, part: "pad", event: "fit", method: "caliper", unit: "mm", values: [thickness] } if thickness
    readings = [new, *pads(row, answers(row)), *rotors(row), *sound_rear(row, odometer)].compact
    post_inspection(date, odometer, readings, marks(row))
  end

  # Worn a little at each inspection, and nothing to say of it.
  def sound_rear(row, odometer)
    pad_mm, rotor_mm =
      row["kind"] == "motorcycle" ? [4, 4.9] : [(8 + ((50_000 - odometer.to_i) / 10_000.0)).round(1), 9.7]
    given = { axle: rear, answer: "affirmed" }
    positions(rear).map { |side, pad| reading("pad", "caliper", pad_mm, side:, pad:, **given) } +
      sides(rear).map { |side| reading("rotor", "micrometer", rotor_mm, side:, **given) }
  end

  def post_inspection(date, odometer, readings, conditions)
    ask(:post, inspections, { date:, odometer: { value: odometer, unit: "km", keep: true }, readings:, conditions: })
    raise last_response.body unless last_response.successful?
  end

  # What is said to a question about a reading.
  def answers(row) = { answer: row["doubted"] ? "keep" : "affirmed" }

  def pads(row, given)
    positions(front)
      .zip(row.fetch("pads", []))
      .filter_map do |(side, pad), value|
        next if value.nil?
        next { axle: front, part: "pad", side:, pad:, event: value } if EVENTS.include?(value)

        reading("pad", row.fetch("method", "caliper"), value, side:, pad:, overall: row["overall"] || false, **given)
      end
  end

  def rotors(row)
    by_side("rotor", row.fetch("rotor_method", "micrometer"), row.fetch("rotors", [])) +
      by_side("runout", "dial", row.fetch("runout", []))
  end

  def by_side(part, method, values)
    pairs = sides(front).zip(values).select(&:last)
    pairs.map { |side, value| reading(part, method, value, side:, answer: "affirmed") }
  end

  def reading(part, method, values, side:, axle: front, **more)
    unit = method == "percent" ? "percent" : "mm"
    { axle:, part:, side:, event: "reading", method:, unit:, values: [values].flatten.map(&:to_s), **more }
  end

  def marks(row)
    figures = FIGURES.filter_map { |key, item| row[key] && { item:, value: row[key].to_s } }
    figures + row.fetch("marks", []).map { |text| mark(text.split) }
  end

  def mark(words)
    item, mark = words.last(2)
    return { item:, mark: } if item == "symptom"

    { axle: front, side: words.first, face: words.length == 4 ? words[1] : nil, item:, mark: }
  end

  def works(scope)
    rotors = { "new" => "rotors_new", "turn" => "rotors_turn" }[scope["rotors"]["proposed"]]
    found = scope["works"].select { |work| work["because"] }.map { |work| work["id"] } + [*rotors]
    # new clips go with new pads by the usual approach, whatever was found
    found -= ["clips"] if found.include?("pads")
    found.sort
  end

  # What is wrong with an answer, in words.
  class << self
    # Row -> what is wrong with the answer, in words; none where it agrees.
    def misses(judged, row)
      %w[word vehicle_word rotor must].filter_map { |key| miss(judged, row, key) } + works_misses(judged[:works], row) +
        [*row["rotor_not"]].select { |outcome| outcome == judged[:rotor] }.map { |outcome| "rotor is #{outcome}" }
    end

    def miss(judged, row, key)
      return unless row.key?(key)

      allowed = row[key].is_a?(String) ? row[key].split("_or_") : [row[key]]
      "#{key}: #{judged[key.to_sym].inspect}, not #{row[key]}" unless allowed.include?(judged[key.to_sym])
    end

    def works_misses(works, row)
      [
        ("works: #{works}, not #{row["works"].sort}" if row["works"] && works != row["works"].sort),
        (
          if row["works_with"] && (row["works_with"] - works).any?
            "works: #{works} without #{row["works_with"] - works}"
          end
        ),
        ("works: #{works & row["works_without"]}" if row["works_without"]&.intersect?(works))
      ].compact
    end
  end

  RSpec::Matchers.define :match_row do |row|
    match { |judged| InspectionCase.misses(judged, row).empty? }
    failure_message { |judged| "#{row["id"]}: #{InspectionCase.misses(judged, row).join("; ")} (all: #{judged})" }
  end
end
