# frozen_string_literal: true

# An owner who enters whatever comes to mind, seeded: calls of the API as [method, path, body], some of them refused.
class RandomOwner
  EVENTS = %w[reading reading reading reading fit resurfaced squealer sensor metal freed].freeze
  READ_BY = {
    "pad" => %w[caliper visual gauge rule percent],
    "rotor" => %w[caliper micrometer],
    "runout" => %w[dial],
    "shoe" => %w[caliper rule]
  }.freeze
  DATA = {
    "pad.backing_plate" => 1..12,
    "pad.new_thickness" => 5..16,
    "pad.discard_thickness" => 0..4,
    "pad.overall_limit" => 2..12,
    "pad.service_limit" => 1..6,
    "rotor.new_thickness" => 8..32,
    "rotor.discard_thickness" => 6..30,
    "shoe.discard_thickness" => 1..3,
    "caliper.piston_diameter" => 20..60
  }.freeze
  LIKELY = { "pad" => 0.0..14.0, "rotor" => 8.0..30.0, "runout" => 0.0..0.2, "shoe" => 0.0..6.0 }.freeze
  MARKS = { "slide_pins" => "seized", "piston" => "stuck", "rotor_face" => "cracked", "hose" => "bulged" }.freeze

  # vehicle: as the API gave it; log: gives [[inspection id, reading id]] of what is on file now
  def initialize(vehicle, seed, log)
    @log = log
    @vehicle = vehicle
    @random = Random.new(seed)
    @day = Date.new(2024, 1, 1)
    @km = 40_000
  end

  def call = public_send(pick(%i[log log log log data data tool check mend correct strike renew what plan job]))

  def log
    @day = [@day + @random.rand(0..150), Date.new(2026, 5, 16)].min
    @km += @random.rand(0..9000)
    readings = Array.new(@random.rand(0..3)) { reading }
    conditions = Array.new(@random.rand(0..1)) { mark }
    body = { date: @day.iso8601, odometer: { value: @km.to_s }, readings:, conditions: }
    [:post, "/vehicles/#{id}/inspections", body]
  end

  def data
    key = pick(DATA.keys)
    [
      :post,
      "/axles/#{axle}/brake-data",
      { entries: [{ key:, value: pick(DATA[key].to_a).to_s, unit: "mm", source: "manual" }] }
    ]
  end

  def tool
    bounds = { least: @random.rand(0..5).to_s, most: @random.rand(3..40).to_s }
    return :post, "/instruments", { name: "Tool", method: "caliper", **bounds } if @random.rand < 0.5

    [:patch, "/instruments/#{@random.rand(1..3)}", bounds]
  end

  def check
    body = { date: @day.iso8601, reference: "0", read: pick(%w[0 0.02 -0.4 1.5 -1.5 4]) }
    [:post, "/instruments/#{@random.rand(1..3)}/zero-checks", body]
  end

  def mend
    path = "/instruments/#{@random.rand(1..3)}"
    @random.rand < 0.7 ? [:post, "#{path}/corrections"] : [:delete, "#{path}/zero-checks/#{@random.rand(1..4)}"]
  end

  def correct
    change = pick([{ value: value }, { overall: true }, { unit: "in" }, { method: "percent", unit: "percent" }])
    inspection, reading = on_file
    [:post, "/inspections/#{inspection}/corrections", { reading:, reason: "slip", **change }]
  end

  def strike
    inspection, reading = on_file
    what = @random.rand < 0.3 ? {} : { reading: }
    [:post, "/inspections/#{inspection}/corrections", { reason: "slip", void: true, **what }]
  end

  def renew = [:post, "/vehicles/#{id}/fluid-renewals", { date: @day.iso8601, odometer: { value: @km.to_s } }]
  def what = [:get, "/axles/#{axle}/what-if?pads=same&year_distance=#{@random.rand(0..90_000)}"]

  def plan
    body = { kind: "trip", name: "Trip", from: "2026-06-01", to: "2026-06-#{@random.rand(10..28)}", distance: "4000" }
    [:post, "/vehicles/#{id}/planned-events", body]
  end

  def job = [:post, "/axles/#{axle}/jobs", { planned_for: "2026-05-23" }]

  private

  def pick(list) = list[@random.rand(list.length)]
  def id = @vehicle.fetch("id")
  def axle = pick(@vehicle.fetch("axles")).fetch("id")
  def on_file = pick(@log.call | [[1, 1]])
  def value(part = "pad")
    return pick(%w[0 0.3 17/32 -1 8,4 25.4]) if @random.rand < 0.1

    @random.rand(LIKELY.fetch(part)).round(2).to_s
  end

  def read_with(method)
    chance = method == "caliper" ? 0.4 : 0.1
    @random.rand(1..3) if @random.rand < chance
  end

  def units(method)
    return "percent" if method == "percent"

    @random.rand < 0.9 ? "mm" : pick(%w[in 32nd percent])
  end

  def mark
    item = pick(MARKS.keys)
    face = item == "rotor_face" ? { face: "outer" } : {}
    { axle:, side: pick(%w[left right]), item:, mark: MARKS[item], **face }
  end

  def reading
    part = pick(%w[pad pad pad rotor runout shoe])
    method = pick(@random.rand < 0.9 ? READ_BY.fetch(part) : READ_BY.values.flatten)
    event = %w[pad rotor].include?(part) ? pick(EVENTS) : "reading"
    figures =
      (
        if event == "reading" || @random.rand < 0.3
          { method:, unit: units(method), values: [value(part)] }
        else
          {}
        end
      )
    {
      axle:,
      part:,
      side: pick(%w[left right]),
      event:,
      answer: "keep",
      overall: @random.rand < 0.2,
      instrument: read_with(method),
      **(part == "pad" ? { pad: pick(%w[inner outer]) } : {}),
      **figures
    }.compact
  end
end
