# frozen_string_literal: true

require_relative "../support/api_helper"

# How grave each thing is that can be seen or found: common practice, no source. What stops a vehicle is written out
# here a second time, so that a slip in the files is noticed.
RSpec.describe "Severities" do
  include ApiHelper

  let(:items) { KNOWLEDGE.condition_items }
  let(:marks) { items.flat_map { |item| item.marks.map { |mark| ["#{item.id}.#{mark.id}", mark] } }.to_h }
  let(:rules) { KNOWLEDGE.finding_engine.rules }

  def of(severity) = marks.select { |_, mark| mark.severity == severity }.keys

  it "stops for leaks, for pads that come apart or are oily, for what is cracked, and for a pedal that is not firm" do
    expect(of("stop")).to contain_exactly(
      "piston.wet",
      "piston.cracked",
      "pad.crumbling",
      "pad.contaminated",
      "rotor_face.cracked",
      "hose.bulged",
      "hose.cracked",
      "hose.wet",
      "pipe.corroded",
      "pipe.wet",
      "bearing.nut_loose",
      "cylinder.wet",
      "lining.lifting",
      "lining.oily",
      "drum_face.cracked",
      "trailer_cable.frayed",
      "magnet.dead",
      "coupling.play",
      "coupling.breakaway",
      "threads.stripped",
      "symptom.pushes",
      "symptom.warning_light",
      "symptom.grinding",
      "symptom.sinking_pedal",
      "symptom.soft_pedal",
      "symptom.long_pedal",
      "symptom.hard_pedal",
      "symptom.lever_sinks",
      "symptom.lever_soft",
      "symptom.lever_long",
      "symptom.little_braking",
      "symptom.fluid_loss"
    )
    expect(of("stop").map { |id| marks[id]["caution"] }).to all(
      match(/do not (drive|tow)|cannot be trusted|replace|licensed|scrap|renew/i)
    )
  end

  it "plans for stuck, torn, missing or worn parts and watches slow wear" do
    expect(of("plan")).to include(
      "slide_pins.seized",
      "slide_pins.boot_torn",
      "piston.stuck",
      "pad.cracked",
      "rotor_face.heat_spotted",
      "rotor_face.grooved_deep",
      "rotor_face.pitted",
      "clips.missing",
      "hose.twisted",
      "shoes.oily",
      "symptom.squeal_rolling",
      "symptom.hot_wheel",
      "symptom.pulls"
    )
    expect(of("watch")).to include(
      "slide_pins.stiff",
      "pad.glazed",
      "rotor_face.blued",
      "rotor_face.lipped",
      "rotor_face.grooved",
      "hub.rusty",
      "symptom.pulsation"
    )
    expect(%w[rotor_face.grooved_light rotor_face.lip_low].map { |id| marks[id]["severity"] }).to all(be_nil)
  end

  it "gives no severity to good marks, and has one wherever all may be well" do
    good = marks.select { |_, mark| mark.good }
    expect(good.values.map(&:severity)).to all(be_nil)
    expect(KNOWLEDGE.wheel_items.reject { |item| item.marks.any?(&:good) }).to be_empty
  end

  it "stops for pads below the law's thickness, metal to metal and unexplained fluid loss" do
    words = rules.group_by(&:severity).transform_values { |list| list.map(&:id) }
    expect(words["stop"]).to contain_exactly("pad-metal", "pad-below-law", "fluid-below-min", "fluid-unexplained")
    expect(words["plan"]).to include(
      "pads-due",
      "pads-due-soon",
      "pad-below-maker",
      "pad-below-limit",
      "inner-thin",
      "outer-thin",
      "one-face",
      "rotor-metal",
      "rotor-variation",
      "rotor-runout",
      "piston-beyond",
      "fluid-wet",
      "fluid-old"
    )
    expect(words["watch"]).to include("inner-sped-up", "outer-sped-up", "fixed-sped-up")
    expect(words["watch"]).to include("pad-maybe-below", "taper", "stood-long", "stood-weeks", "odometer-silent")
    states =
      KNOWLEDGE.state["rules"]
        .group_by { |rule| rule["severity"] }
        .transform_values { |list| list.map { |rule| rule["id"] } }
    expect(states["stop"]).to eq(
      %w[
        apart
        seen-stop
        pad-metal
        pad-read-below-floor
        pad-doubted-below-floor
        pad-below-floor
        rotor-read-out
        drum-read-out
      ]
    )
    expect(states["plan"]).to eq(
      %w[seen-plan pad-read-at-limit pad-at-limit pad-due-soon pad-maybe-at-limit pad-likely-due rotor-near-discard]
    )
  end

  it "names a mark by its part, side and face as a mechanic says it" do
    named = ->(id) { KNOWLEDGE.wheel_items.find { |item| item.id == id }.named("left", "inner") }
    expect([named["pad"], named["rotor_face"]]).to eq(["left inner pad", "left rotor, inner face"])
  end

  it "tries severe rules before mild ones in each group" do
    rank = %w[stop plan watch good]
    rules
      .select(&:group)
      .group_by(&:group)
      .each_value do |group|
        expect(group.map { |rule| rank.index(rule.severity) }).to eq(
          group.map { |rule| rank.index(rule.severity) }.sort
        )
      end
    ranks = KNOWLEDGE.state["rules"].map { |rule| rank.index(rule["severity"]) }
    expect(ranks).to eq(ranks.sort)
  end

  # What the road tells is proved by a look; a leak that was only felt, and a lamp, no job can answer for. Pipes, wheel
  # bearings, seals, backing plates and cables are no work on a brake: whoever marks one bad is sent to have it renewed.
  it "offers a job for every bad mark at a wheel, and none that hides a leak" do
    answers = KNOWLEDGE.works.flat_map(&:answers)
    grave = marks.select { |_, mark| mark.severity }.keys
    open = grave.reject { |id| answers.include?(id) || answers.include?(id.split(".").first) }
    expect(
      open.grep_v(/\A(pipe|bearing|axle_seal|coupling|threads)\.|ledges.rusted|brake_cable.frayed/)
    ).to contain_exactly(
      "symptom.sinking_pedal",
      "symptom.lever_sinks",
      "symptom.little_braking",
      "symptom.fluid_loss",
      "symptom.warning_light",
      "symptom.hard_pedal",
      "symptom.level_fallen",
      "symptom.abs_light",
      "symptom.vibration"
    )
    expect(answers - items.map(&:id) - marks.keys).to be_empty
  end

  it "carries each stop mark through to the garage" do
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *%w[left right].product(%w[inner outer]).map { |side, position| pad("9", side:, pad: position) }
      )
    )
    expect(ask(:get, "/garage")["vehicles"].first["state"]["severity"]).not_to eq("stop")
    of("stop").each_with_index do |id, at|
      item, mark = id.split(".")
      entry = KNOWLEDGE.wheel_items.find { |each| each.id == item }
      place = entry ? { axle: at_axle(entry), side: "left", face: entry.faces.first }.compact : {}
      seen =
        ask(:post, inspections, inspection("2026-05-11", (60_010 + at).to_s, conditions: [{ item:, mark:, **place }]))
      vehicle = ask(:get, "/garage")["vehicles"].first
      expect([vehicle["state"]["severity"], vehicle["why"]]).to match(
        ["stop", /#{Regexp.escape(marks[id]["label"])}/i]
      ),
      id
      ask(:post, "/inspections/#{seen["id"]}/corrections", { void: true, reason: "another vehicle" })
    end
    expect(ask(:get, "/garage")["vehicles"].first["state"]["severity"]).not_to eq("stop")
  end

  # The rear one has drums.
  def at_axle(item)
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "drum_leading", nil])
    item.brakes == ["drum"] ? rear : front
  end
end
